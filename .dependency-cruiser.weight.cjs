// What the learner's page loads, types aside: no Yup, tables, charts, handles or editors.
const { options } = require('./.dependency-cruiser.cjs');

module.exports = {
  forbidden: [
    {
      name: 'learner-page-stays-light',
      severity: 'error',
      from: { path: '^src/islands/player/', pathNot: '\\.test\\.tsx?$' },
      to: {
        reachable: true,
        path: 'node_modules/(yup|recharts|react-moveable|moveable|@tanstack|@tiptap|react-hook-form|date-fns|lucide-react)/',
      },
    },
  ],
  options: { ...options, tsPreCompilationDeps: false },
};
