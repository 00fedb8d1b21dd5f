require('./together.cjs').group('ui', 1);
