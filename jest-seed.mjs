import fc from 'fast-check';

/** The same cases on every machine and every day; the full random counts are the benches'. */
fc.configureGlobal({ seed: 20261129 });
