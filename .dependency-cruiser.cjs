/** The layers: interface → use cases → data and core. Each imports only to the right. */
const only = (name, from, allowed, comment) => ({
  name,
  severity: 'error',
  comment,
  from: { path: `^(${from})/`, pathNot: '\\.test\\.tsx?$' },
  to: {
    path: '^(app|components|usecases|db|instruments|core|compute|demo|scripts|workers|words)/',
    pathNot: `^(${allowed})/`,
  },
});

module.exports = {
  forbidden: [
    { name: 'no-circles', severity: 'error', from: {}, to: { circular: true } },
    {
      name: 'no-circles-of-folders',
      severity: 'error',
      comment: 'Folders build on each other one way only, as files do.',
      scope: 'folder',
      from: {},
      to: { circular: true },
    },
    only('core-stands-alone', 'core', 'core', 'The core imports nothing of the other layers.'),
    {
      name: 'core-is-pure',
      severity: 'error',
      comment: 'No framework, database, clock or chance in the core; numerical libraries only.',
      from: { path: '^core/', pathNot: '\\.test\\.ts$' },
      to: {
        dependencyTypes: ['npm', 'npm-dev', 'core', 'npm-no-pkg', 'unknown'],
        pathNot: 'node_modules/(@stdlib|ml-matrix)/',
      },
    },
    only('instruments-on-core', 'instruments', 'instruments|core', 'Instruments know the core, not who reads them.'),
    only('data-on-core', 'db', 'db|core|instruments', 'Data maps rows to the core and keeps the state of instruments.'),
    only('usecases-to-the-right', 'usecases', 'usecases|db|core|instruments', 'Use cases know no interface.'),
    only('workers-on-core', 'workers', 'workers|core', 'A worker gets plain data and gives plain data.'),
    only('words-on-core', 'words', 'words|core', 'The dictionary words what the core gives, and nothing else.'),
    only('compute-on-core', 'compute', 'compute|core|words', 'The shell command needs neither server nor database.'),
    only(
      'components-no-data',
      'components',
      'components|core|usecases|instruments|words',
      'Components never reach the database.',
    ),
    {
      name: 'components-know-no-truth',
      severity: 'error',
      comment: 'The hidden truth of the virtual bench stays on the server; the browser reads what instruments wrote.',
      from: { path: '^components/' },
      to: { path: '^instruments/virtual/' },
    },
    {
      name: 'components-take-only-inputs',
      severity: 'error',
      comment:
        'Of the use cases the browser gets input schemas, limits and the routes of requests; of the rest only types.',
      from: { path: '^components/' },
      to: {
        path: '^usecases/',
        pathNot: '^usecases/(limits|requests/routes|[a-z]+/[a-zA-Z]+Input)\\.ts$',
        dependencyTypesNot: ['type-only'],
      },
    },
    {
      name: 'app-through-use-cases',
      severity: 'error',
      comment: 'Pages and route handlers read and act through use cases.',
      from: { path: '^app/', pathNot: '\\.test\\.tsx?$' },
      to: { path: '^db/', dependencyTypesNot: ['type-only'] },
    },
  ],
  options: {
    tsConfig: { fileName: 'tsconfig.json' },
    tsPreCompilationDeps: true,
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '\\.next|\\.test\\.' },
  },
};
