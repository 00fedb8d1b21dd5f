require('./together.cjs').group('db', 0);
