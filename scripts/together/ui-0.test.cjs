require('./together.cjs').group('ui', 0);
