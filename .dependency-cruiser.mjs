const only = (name, from, to, comment) => ({
  name,
  severity: 'error',
  comment,
  from: { path: from, pathNot: '\\.spec\\.ts$' },
  to: { path: to },
});

/** The arrows of the house: web, server → contracts → core; a core room imports only what is written here. */
export default {
  forbidden: [
    {
      name: 'no-circles',
      severity: 'error',
      from: {},
      to: { circular: true },
    },
    only(
      'core-looks-at-nothing-above',
      '^core/',
      '^(contracts|server|web|demo|e2e|scripts|bench)/',
      'core is pure',
    ),
    only(
      'contracts-look-at-core-alone',
      '^contracts/',
      '^(server|web|demo|e2e|scripts|bench)/',
      'contracts know core and nothing else of ours',
    ),
    only('demo-looks-at-no-program', '^demo/', '^(server|web|e2e|scripts|bench)/', 'the demo is data'),
    only(
      'server-looks-at-no-page',
      '^server/',
      '^(web|e2e|scripts|bench)/',
      'server and pages meet in contracts',
    ),
    only(
      'pages-look-at-no-server',
      '^web/',
      '^(server|demo|e2e|scripts|bench)/',
      'server and pages meet in contracts',
    ),
    {
      name: 'core-imports-from-the-allow-list',
      severity: 'error',
      comment:
        'linear algebra, astronomy, polygons, the normal distribution; nothing that touches a screen, disk, clock or network',
      from: { path: '^core/src/', pathNot: '\\.spec\\.ts$' },
      to: {
        path: '^node_modules/',
        pathNot:
          '^node_modules/(ml-matrix|astronomy-engine|d3-polygon|polyclip-ts|@stdlib/stats-base-dists-(beta|chisquare|normal|t)-(quantile|cdf|pdf))/',
      },
    },
    {
      name: 'core-imports-no-node',
      severity: 'error',
      from: { path: '^core/src/', pathNot: '\\.spec\\.ts$' },
      to: { dependencyTypes: ['core'] },
    },
    {
      name: 'rooms-have-one-door',
      severity: 'error',
      comment: 'into another room only through its index.ts',
      from: { path: '^core/src/([^/]+)/' },
      to: { path: '^core/src/([^/]+)/', pathNot: ['^core/src/$1/', '/index\\.ts$', '/oracles/'] },
    },
    {
      name: 'oracles-check-and-nothing-else',
      severity: 'error',
      comment: 'what a spec checks a room by is used by specs alone',
      from: { pathNot: ['\\.spec\\.ts$', '/oracles/'] },
      to: { path: '/oracles/' },
    },
    {
      name: 'rooms-import-quantity-and-job-alone',
      severity: 'error',
      comment: 'docs/decisions/0003: job holds the words every room speaks',
      from: {
        path: '^core/src/(measure|packing|glazing|climate|scheduling|job|learned|strokes|trimming|liner|returning|diagnosing)/',
        pathNot: '\\.spec\\.ts$',
      },
      to: {
        path: '^core/src/',
        pathNot: ['^core/src/$1/', '^core/src/(quantity|rules|job|learned|curved)/'],
      },
    },
    {
      name: 'curved-glass-stands-below-measuring',
      severity: 'error',
      comment: 'the patch is fitted by measure; what film makes of it is asked here',
      from: { path: '^core/src/curved/', pathNot: '\\.spec\\.ts$' },
      to: { path: '^core/src/', pathNot: ['^core/src/curved/', '^core/src/(quantity|rules)/'] },
    },
    {
      name: 'from-blanks-to-cuts',
      severity: 'error',
      comment: 'packing knows pieces and rolls alone; a blank becomes a piece; the cuts stand on both',
      from: { path: '^core/src/(blanks|cutting)/', pathNot: '\\.spec\\.ts$' },
      to: {
        path: '^core/src/',
        pathNot: ['^core/src/$1/', '^core/src/(quantity|rules|job|packing|blanks)/'],
      },
    },
    {
      name: 'looking-and-judging-stand-on-strokes',
      severity: 'error',
      comment: 'what is looked at is covered as strokes cover; marks are judged by what can be seen',
      from: { path: '^core/src/(looking|judging)/', pathNot: '\\.spec\\.ts$' },
      to: {
        path: '^core/src/',
        pathNot: ['^core/src/$1/', '^core/src/(quantity|rules|job|learned|strokes|looking)/'],
      },
    },
    {
      name: 'rooms-that-stand-on-others',
      severity: 'error',
      comment: 'docs/decisions/0011: light and heat below, then stress and privacy, then choosing',
      from: { path: '^core/src/(thermal-stress|privacy)/', pathNot: '\\.spec\\.ts$' },
      to: {
        path: '^core/src/',
        pathNot: ['^core/src/$1/', '^core/src/(quantity|rules|job|learned|glazing|climate)/'],
      },
    },
    {
      name: 'rooms-of-the-day',
      severity: 'error',
      comment:
        'docs/decisions/0016: waits above climate, ways of working above waits, what is fit when beside them, the day on top',
      from: { path: '^core/src/(waiting|ways)/', pathNot: '\\.spec\\.ts$' },
      to: {
        path: '^core/src/',
        pathNot: ['^core/src/$1/', '^core/src/(quantity|rules|job|learned|climate|waiting)/'],
      },
    },
    {
      name: 'fitting-stands-on-ways',
      severity: 'error',
      comment: 'what holds a step back: pauses of the ways, waits of the air',
      from: { path: '^core/src/fitting/', pathNot: '\\.spec\\.ts$' },
      to: {
        path: '^core/src/',
        pathNot: ['^core/src/fitting/', '^core/src/(quantity|rules|job|waiting|ways)/'],
      },
    },
    {
      name: 'reading-is-on-top',
      severity: 'error',
      comment: 'docs/decisions/0030: rows become questions there; a room knows questions and no whole job',
      from: { path: '^core/src/(?!reading/)', pathNot: '\\.spec\\.ts$' },
      to: { path: '^core/src/reading/' },
    },
    {
      name: 'quantity-imports-no-room',
      severity: 'error',
      from: { path: '^core/src/quantity/' },
      to: { path: '^core/src/(?!quantity/)' },
    },
    {
      name: 'rules-import-quantity-and-nouns-alone',
      severity: 'error',
      from: { path: '^core/src/rules/', pathNot: '\\.spec\\.ts$' },
      to: { path: '^core/src/(?!rules/|quantity/|job/)' },
    },
    {
      name: 'stops-do-not-know-each-other',
      severity: 'error',
      from: { path: '^web/src/app/stops/([^/]+)/' },
      to: { path: '^web/src/app/stops/', pathNot: '^web/src/app/stops/$1/' },
    },
    {
      name: 'ui-has-no-state',
      severity: 'error',
      comment: 'it draws what it is given; fields that keep what is typed stand in fields/',
      from: { path: '^web/src/app/ui/' },
      to: { path: '^web/src/app/', pathNot: '^web/src/app/(ui|words)/' },
    },
    {
      name: 'words-stand-on-nothing',
      severity: 'error',
      comment: 'what the page says, room by room; every room may say it',
      from: { path: '^web/src/app/words/', pathNot: '\\.spec\\.ts$' },
      to: { path: '^web/src/app/', pathNot: '^web/src/app/(words/|fields/facts\\.ts$)' },
    },
    {
      name: 'the-browser-is-below',
      severity: 'error',
      comment: 'device: this browser; server: what goes over the wire',
      from: { path: '^web/src/app/device/', pathNot: '\\.spec\\.ts$' },
      to: { path: '^web/src/app/', pathNot: '^web/src/app/(device|words)/' },
    },
    {
      name: 'the-wire-looks-at-the-browser-alone',
      severity: 'error',
      from: { path: '^web/src/app/server/', pathNot: '\\.spec\\.ts$' },
      to: { path: '^web/src/app/', pathNot: '^web/src/app/(server|device|words)/' },
    },
    {
      name: 'instruments-catalogue-and-workers-stand-on-the-wire',
      severity: 'error',
      from: { path: '^web/src/app/(instruments|catalogue|workers)/', pathNot: '\\.spec\\.ts$' },
      to: {
        path: '^web/src/app/',
        pathNot: '^web/src/app/(instruments|catalogue|workers|server|device|words)/',
      },
    },
    {
      name: 'drawings-are-given-their-figures',
      severity: 'error',
      comment: 'to scale, mirrored by one rule; every stop may draw with it',
      from: { path: '^web/src/app/drawing/', pathNot: '\\.spec\\.ts$' },
      to: { path: '^web/src/app/', pathNot: '^web/src/app/(drawing|ui|words)/' },
    },
    {
      name: 'the-open-job-knows-no-screen',
      severity: 'error',
      from: { path: '^web/src/app/job/', pathNot: '\\.spec\\.ts$' },
      to: {
        path: '^web/src/app/(shell|stops|jobs|films|stock|settings|bench|ui|fields|day)/',
      },
    },
    {
      name: 'paper-is-given-its-data',
      severity: 'error',
      comment: 'pages, tables, labels; what stands on them is read by the features',
      from: { path: '^server/src/paper/', pathNot: '\\.spec\\.ts$' },
      to: { path: '^server/src/(db|backup|running)/' },
    },
    {
      name: 'features-do-not-stand-on-the-app',
      severity: 'error',
      from: { path: '^server/src/(features|paper|http|db|backup)/', pathNot: '\\.spec\\.ts$' },
      to: { path: '^server/src/(app|main)\\.ts$' },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: 'dist/|\\.d\\.ts$' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.base.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'types'],
      extensions: ['.ts', '.js', '.mjs'],
    },
  },
};
