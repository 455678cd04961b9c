import fc from 'fast-check';

// Properties are tried on the same cases in every run: a run that fails by chance is a fault of the run. Other cases are
// tried by giving another seed; what they find is kept as an example beside its property.
fc.configureGlobal({ seed: Number(process.env.FC_SEED ?? 20261126) });
