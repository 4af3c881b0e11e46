/** Random tests try the same values in every run unless `./lattice test --seed N` says otherwise. */
import fc from 'fast-check'

fc.configureGlobal({ seed: Number(process.env.LATTICE_SEED ?? 1) })
