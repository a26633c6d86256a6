// What the learner's page loads, types aside: no Yup, tables, charts, handles or editors.
// (Icons come one by one: a few hundred bytes each.)
const { options } = require('./.dependency-cruiser.cjs');

module.exports = {
  forbidden: [
    {
      name: 'learner-page-stays-light',
      severity: 'error',
      from: { path: '^src/islands/player/', pathNot: '\\.test\\.tsx?$' },
      to: {
        reachable: true,
        path: 'node_modules/(yup|recharts|react-moveable|moveable|@tanstack|@tiptap|react-hook-form|date-fns)/',
      },
    },
  ],
  options: { ...options, tsPreCompilationDeps: false },
};
