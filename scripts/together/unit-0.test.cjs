require('./together.cjs').group('unit', 0);
