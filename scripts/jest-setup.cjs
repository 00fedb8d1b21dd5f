// Properties are tried with the same draws everywhere, so that a run means the same on every machine.
require('fast-check').configureGlobal({ seed: 20261125 });
