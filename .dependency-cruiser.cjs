/** The borders of the house: web → core, server → core, never sideways or back; core knows no machine. */
module.exports = {
  forbidden: [
    {
      name: 'core-stands-alone',
      severity: 'error',
      from: { path: '^core/src' },
      to: { path: '^(server|web|e2e|bench|scripts)/' },
    },
    {
      name: 'core-knows-no-machine',
      severity: 'error',
      comment: 'No file, network, clock or process in the computation.',
      from: { path: '^core/src', pathNot: '\\.test\\.ts$' },
      to: { dependencyTypes: ['core'] },
    },
    {
      name: 'core-knows-no-framework',
      severity: 'error',
      from: { path: '^core/src', pathNot: '\\.test\\.ts$' },
      to: { path: 'node_modules/(react|react-dom|express|sequelize|@tanstack|radix-ui|chart\\.js)/' },
    },
    {
      name: 'web-not-server',
      severity: 'error',
      from: { path: '^web/src' },
      to: { path: '^(server|e2e|bench|scripts)/' },
    },
    { name: 'server-not-web', severity: 'error', from: { path: '^server/src' }, to: { path: '^(web|e2e|bench)/' } },
    {
      name: 'migrations-stand-alone',
      severity: 'error',
      comment: 'A step does the same for ever: code that goes on changing is no part of it.',
      from: { path: '^server/src/db/migrations/' },
      to: { path: '^(server|core)/src/', pathNot: '^server/src/db/migrations/' },
    },
    {
      name: 'no-circles',
      severity: 'error',
      from: {},
      to: { circular: true, viaOnly: { dependencyTypesNot: ['type-only'] } },
    },
    {
      name: 'by-the-front-door',
      severity: 'error',
      comment:
        'A folder of the core is entered by its index.ts; a test may also use what another folder made for tests.',
      from: { path: '^core/src/([^/]+)/', pathNot: '(\\.test|/testing)\\.ts$' },
      to: { path: '^core/src/[^/]+/', pathNot: ['^core/src/$1/', '^core/src/[^/]+/index\\.ts$'] },
    },
    {
      name: 'tests-by-the-front-door',
      severity: 'error',
      from: { path: '^core/src/([^/]+)/.*(\\.test|/testing)\\.ts$' },
      to: { path: '^core/src/[^/]+/', pathNot: ['^core/src/$1/', '^core/src/[^/]+/(index|testing)\\.ts$'] },
    },
    {
      name: 'core-by-its-face',
      severity: 'error',
      comment: 'Screens and server know what the core shows: its index.ts, and the few folders it shows beside it.',
      from: { path: '^(web|server)/src' },
      to: { path: '^core/src/', pathNot: ['^core/src/index\\.ts$', '^core/src/[^/]+/index\\.ts$'] },
    },
    {
      name: 'kernel-knows-no-subject',
      severity: 'error',
      comment: 'Only what has no subject: errors, what comes in, figures with their units, and where a thing hangs.',
      from: { path: '^core/src/kernel/', pathNot: '\\.test\\.ts$' },
      to: { path: '^core/src/', pathNot: '^core/src/(kernel|errors|checked|quantity|pose)/' },
    },
    {
      name: 'subjects-below-the-job',
      severity: 'error',
      comment: 'A subject is put into the job by its list; only what reads whole jobs may know it.',
      from: {
        path: '^core/src/([^/]+)/',
        pathNot: [
          '(\\.test|/testing)\\.ts$',
          '^core/src/(job|call|summary|steps|instrument|rehearsal|comeback|record|soap)/',
        ],
      },
      to: { path: '^core/src/job/' },
    },
  ],
  options: {
    tsPreCompilationDeps: true,
    doNotFollow: { path: 'node_modules' },
    tsConfig: { fileName: 'tsconfig.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'require', 'node', 'default', 'types'],
    },
  },
};
