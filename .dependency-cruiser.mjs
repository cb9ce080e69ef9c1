/** Folders of the core from the ground up: each may import itself and those before it. */
const CORE = [
  'math',
  'mesh',
  'curve',
  'frames',
  'shape',
  'segment',
  'layout',
  'motion',
  'bending',
  'dressing',
  'edit',
  'guides',
  'findings',
];
/** Layers from the ground up; formats and project stand beside each other. */
const LAYERS = ['core', 'formats', 'project', 'engine', 'ui', 'app'];
const NO_TESTS = '\\.test\\.tsx?$|/testing/';

const upwards = (folders, root) =>
  folders.slice(0, -1).map((folder, i) => ({
    name: `${root}${folder} imports what stands above it`,
    severity: 'error',
    from: { path: `^src/${root}${folder}/`, pathNot: NO_TESTS },
    to: { path: `^src/${root}(${folders.slice(i + 1).join('|')})/` },
  }));

/** @type {import("dependency-cruiser").IConfiguration} */
const configuration = {
  forbidden: [
    { name: 'circle', severity: 'error', from: {}, to: { circular: true } },
    ...upwards(CORE, 'core/'),
    ...upwards(LAYERS, ''),
    {
      name: 'project imports formats',
      severity: 'error',
      from: { path: '^src/project/' },
      to: { path: '^src/formats/' },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsPreCompilationDeps: true, // types too
    tsConfig: { fileName: 'tsconfig.json' },
  },
};

export default configuration;
