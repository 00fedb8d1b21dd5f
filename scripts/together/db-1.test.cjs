require('./together.cjs').group('db', 1);
