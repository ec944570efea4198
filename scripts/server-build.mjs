/** The server and its search threads, a file each: own packages inlined, npm ones left outside. */
export const SERVER_BUILD = {
  entryPoints: {
    main: 'server/src/main.ts',
    'search-thread': 'server/src/features/calculate/search/search-thread.ts',
  },
  outdir: 'server/dist',
  bundle: true,
  platform: 'node',
  format: 'esm',
  target: 'node20',
  sourcemap: true,
  logLevel: 'warning',
  plugins: [
    {
      name: 'npm-outside',
      setup({ onResolve }) {
        onResolve({ filter: /^[^./]/ }, ({ path }) =>
          path.startsWith('@yellow-pane/') ? undefined : { path, external: true },
        );
      },
    },
  ],
};
