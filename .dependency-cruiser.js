/** The core's rooms, from the ground up: each may use what stands beneath it. */
const CORE_ROOMS = ['base', 'matter', 'juice', 'ferment', 'finish', 'book'];

/** Which way imports may run between folders; specs and what is made for them may look anywhere. */
export default {
  forbidden: [
    {
      name: 'no-loop-between-folders',
      comment: 'Of two folders one is told of the other. Move what both need beneath them, or what needs both above.',
      severity: 'error',
      scope: 'folder',
      from: {},
      to: { circular: true },
    },
    ...CORE_ROOMS.slice(1).map((above, i) => ({
      name: `core-not-up-into-${above}`,
      comment: `The core's rooms stand on one another: ${CORE_ROOMS.join(', ')}.`,
      severity: 'error',
      from: { path: `^packages/core/src/(${CORE_ROOMS.slice(0, i + 1).join('|')})/` },
      to: { path: `^packages/core/src/${above}/` },
    })),
  ],
  options: {
    doNotFollow: { path: 'node_modules|/dist/' },
    exclude: { path: '\\.spec\\.ts$|/testing/|\\.d\\.ts$' },
    tsPreCompilationDeps: true,
    enhancedResolveOptions: { extensions: ['.ts', '.js'], exportsFields: ['exports'], conditionNames: ['import', 'types', 'default'] },
  },
};
