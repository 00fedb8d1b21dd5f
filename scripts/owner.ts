// Sets a new passphrase for an owner of the studio, on its own computer. Says whose it is.
import { connect } from '../src/data/sql';
import { readPeople, setPassphrase } from '../src/data/people';
import { hashPassphrase } from '../src/serve/passphrase';

async function ownerAnew(name: string): Promise<string> {
  const sql = connect(process.env.DATABASE_URL!, 1);
  try {
    const owners = (await readPeople(sql)).filter((p) => p.role === 'owner');
    const own = name ? owners.find((p) => p.name.toLowerCase() === name.toLowerCase()) : owners[0];
    if (!own || (!name && owners.length > 1))
      throw new Error(
        `Say which owner: ./start owner NAME. Owners are ${owners.map((p) => p.name).join(', ')}.`,
      );
    await setPassphrase(sql, own.id, await hashPassphrase(process.env.TIDY_SPOOL_PASSPHRASE ?? ''));
    await sql`update session set ended_at = now() where person_id = ${own.id} and ended_at is null`;
    return `${own.name} signs in with the new passphrase from now on; she was signed out everywhere.`;
  } finally {
    await sql.end();
  }
}

ownerAnew(process.argv[2] ?? '').then(
  (words) => console.log(words),
  (error: Error) => {
    console.error(error.message);
    process.exitCode = 1;
  },
);
