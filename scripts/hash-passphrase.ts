// Prints the hash of the passphrase given in the environment.
import { hashPassphrase } from '../src/serve/passphrase';

void hashPassphrase(process.env.TIDY_SPOOL_PASSPHRASE ?? '').then((hash) => console.log(hash));
