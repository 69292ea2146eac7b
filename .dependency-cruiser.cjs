/** The layers, as in README: core <- domain <- server, ui <- app. Types alone may flow from use cases to views. */
const from = (path, to, name, comment, extra = {}) => ({
  name,
  comment,
  severity: 'error',
  from: { path },
  to: { path: to, ...extra },
})

module.exports = {
  forbidden: [
    {
      name: 'no-cycles',
      severity: 'error',
      from: {},
      to: { circular: true, viaOnly: { dependencyTypesNot: ['type-only'] } },
    },
    {
      name: 'core-stands-alone',
      severity: 'error',
      comment: 'core imports nothing of ours; its tests may borrow sample weather',
      from: { path: '^src/core', pathNot: '\\.test\\.ts$' },
      to: { path: '^src/(?!core)|^demo|^stand-ins|^tests' },
    },
    {
      name: 'core-pure',
      severity: 'error',
      comment: 'core knows no framework, database, schema library or Node',
      from: { path: '^src/core', pathNot: '\\.test\\.ts$' },
      to: { path: 'node_modules/(react|next|knex|pg|zod|echarts|luxon)|^(fs|node:|crypto|http|path)' },
    },
    from(
      '^src/domain',
      '^src/(?!core|domain|messages/keys)',
      'domain-on-core',
      'domain imports core only, and the addresses of texts as types',
    ),
    from('^src/calc', '^src/(?!core|calc)', 'calc-on-core', 'calc imports core only'),
    from('^src/server', '^src/(ui|app|workers)', 'server-knows-no-view', 'server imports calc, core, domain'),
    from(
      '^src/messages',
      '^src/(?!core|domain|messages)',
      'messages-on-domain',
      'texts are made from codes and values of core and domain',
    ),
    from(
      '^src/server/platform',
      '^src/server/(?!platform)',
      'platform-knows-no-noun',
      'what every noun stands on imports none of them',
    ),
    from(
      '^src/ui/kit',
      '^src/ui/(?!kit)[a-z-]+/',
      'kit-knows-no-noun',
      'what every view is made of imports none of them',
    ),
    {
      name: 'views-know-no-server',
      comment: 'views get data as props; only types come from use cases',
      severity: 'error',
      from: { path: '^src/ui' },
      to: { path: '^src/(server|app|calc)', dependencyTypesNot: ['type-only'] },
    },
    { name: 'stand-ins-on-core', severity: 'error', from: { path: '^stand-ins' }, to: { path: '^src/(?!core)' } },
    {
      name: 'not-to-dev',
      severity: 'error',
      comment: 'what ships does not need development packages',
      from: { path: '^src', pathNot: '\\.test\\.tsx?$' },
      to: { dependencyTypes: ['npm-dev'], dependencyTypesNot: ['type-only'] },
    },
  ],
  options: {
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '\\.next' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'require', 'node', 'default', 'types'],
    },
  },
}
