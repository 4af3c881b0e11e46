/** Laying out with every algorithm there is. */
import { layoutFlex } from './flex'
import { layoutLattice } from './grid'
import { placeLifted } from './lifted'
import { layOutWith } from './place'

layOutWith({ flex: layoutFlex, lattice: layoutLattice, lifted: placeLifted })

export { layoutBox } from './place'
