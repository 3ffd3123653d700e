import { randomBytes } from 'node:crypto';
import { Client } from 'pg';

type TestRole = 'administrator' | 'owner' | 'app';

/** The address of a database of the throw-away cluster that `npm test` starts, for one of its roles. */
export function addressOf(database: string, role: TestRole): string {
  const cluster = process.env.TEST_CLUSTER;
  if (!cluster) throw new Error('TEST_CLUSTER is not set: run these tests with npm test');
  const url = new URL((JSON.parse(cluster) as Record<TestRole, string>)[role]);
  url.pathname = `/${database}`;
  return url.href;
}

/**
 * A new database of the owner's.
 *
 * @param template the database that it is a copy of, to which nobody may be connected; empty when left out
 * @returns its name
 */
export async function newDatabase(template = 'template1'): Promise<string> {
  const name = `test_${randomBytes(6).toString('hex')}`;
  await asAdministrator((admin) => {
    const [database, copied] = [name, template].map((each) => admin.escapeIdentifier(each));
    return admin.query(`CREATE DATABASE ${database} TEMPLATE ${copied} OWNER tidy_marlin_owner`);
  });
  return name;
}

/** Removes a database, whoever is still connected to it. */
export async function dropDatabase(name: string): Promise<void> {
  await asAdministrator((admin) => admin.query(`DROP DATABASE ${admin.escapeIdentifier(name)} WITH (FORCE)`));
}

async function asAdministrator(work: (admin: Client) => Promise<unknown>): Promise<void> {
  const admin = new Client({ connectionString: addressOf('postgres', 'administrator') });
  await admin.connect();
  try {
    await work(admin);
  } finally {
    await admin.end();
  }
}
