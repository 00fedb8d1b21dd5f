require('./together.cjs').group('unit', 1);
