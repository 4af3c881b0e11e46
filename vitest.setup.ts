/** Random tests try the same values in every run unless `./lattice test --seed N` says otherwise; core reads the fonts that ship. */
import fc from 'fast-check'
import { readFontsWith } from './src/core/samples/fonts'
import { openType } from './src/server/fonts'

fc.configureGlobal({ seed: Number(process.env.LATTICE_SEED ?? 1) })
readFontsWith(openType)
