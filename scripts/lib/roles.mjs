/** The roles of a database: who may do what. Passwords live beside the cluster. */
export const ROLES = {
  /** Made the cluster; makes roles and databases, and nothing else. Named so since the first clusters. */
  administrator: 'app',
  /** Migrates and dumps. Passes by row security, which is forced on it like on everybody else. */
  owner: 'tidy_marlin_owner',
  /** The server: neither superuser nor past row security. */
  app: 'tidy_marlin_app',
};

async function connected(url, work) {
  const { default: pg } = await import('pg');
  const client = new pg.Client({ connectionString: url, connectionTimeoutMillis: 10_000 });
  // A server that goes away says so to the statement.
  client.on('error', () => undefined);
  await client.connect();
  try {
    return await work(client);
  } finally {
    await client.end().catch(() => undefined);
  }
}

/** Makes sure that owner and application have their roles, with the passwords that the cluster keeps. */
export async function ensureRoles(cluster) {
  await connected(cluster.url('postgres', 'administrator'), async (client) => {
    for (const [role, rights] of [
      ['owner', 'LOGIN NOSUPERUSER BYPASSRLS NOCREATEROLE NOCREATEDB'],
      ['app', 'LOGIN NOSUPERUSER NOBYPASSRLS NOCREATEROLE NOCREATEDB'],
    ]) {
      const name = client.escapeIdentifier(ROLES[role]);
      const there = await client.query('SELECT FROM pg_roles WHERE rolname = $1', [ROLES[role]]);
      if (there.rowCount === 0) await client.query(`CREATE ROLE ${name}`);
      await client.query(`ALTER ROLE ${name} ${rights} PASSWORD ${client.escapeLiteral(cluster.password(role))}`);
    }
  });
}

/** Everything in a database that can have an owner and still belongs to somebody else; clusters of old had one role only. */
const NOT_YET_OWNED = `
  SELECT format('ALTER TABLE %s OWNER TO %I', c.oid::regclass, $1::text) AS change FROM pg_class c
    WHERE c.relnamespace = 'public'::regnamespace AND c.relkind IN ('r', 'p', 'v', 'm') AND c.relowner <> $1::regrole
  UNION ALL
  SELECT format('ALTER ROUTINE %s OWNER TO %I', p.oid::regprocedure, $1::text) FROM pg_proc p
    WHERE p.pronamespace = 'public'::regnamespace AND p.proowner <> $1::regrole
      AND NOT EXISTS (SELECT FROM pg_depend d WHERE d.objid = p.oid AND d.deptype = 'e')
  UNION ALL
  SELECT format('ALTER SEQUENCE %s OWNER TO %I', c.oid::regclass, $1::text) FROM pg_class c
    WHERE c.relnamespace = 'public'::regnamespace AND c.relkind = 'S' AND c.relowner <> $1::regrole
      AND NOT EXISTS (SELECT FROM pg_depend d WHERE d.objid = c.oid AND d.deptype IN ('a', 'i'))`;

/** Makes sure that a database of this name exists in the cluster and belongs to the owner, with all that is in it. */
export async function ensureDatabase(cluster, name) {
  await connected(cluster.url('postgres', 'administrator'), async (client) => {
    const there = await client.query('SELECT FROM pg_database WHERE datname = $1', [name]);
    const [database, owner] = [client.escapeIdentifier(name), client.escapeIdentifier(ROLES.owner)];
    if (there.rowCount === 0) await client.query(`CREATE DATABASE ${database} OWNER ${owner}`);
    else await client.query(`ALTER DATABASE ${database} OWNER TO ${owner}`);
  });
  await connected(cluster.url(name, 'administrator'), async (client) => {
    const changes = await client.query(NOT_YET_OWNED, [ROLES.owner]);
    for (const { change } of changes.rows) await client.query(change);
  });
}
