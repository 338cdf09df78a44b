// How Jest reads TypeScript that has no templates: stripped of its types, which `npm test` checks by themselves.
import { createHash } from 'node:crypto';
import { transformSync, version } from 'esbuild';

const optionsFor = (decorators) => ({
  loader: 'ts',
  format: 'cjs',
  target: 'es2022',
  sourcemap: 'inline',
  tsconfigRaw: { compilerOptions: { experimentalDecorators: decorators, useDefineForClassFields: !decorators } },
});

export default {
  createTransformer: ({ decorators }) => {
    const options = optionsFor(decorators);
    return {
      process: (source, path) => ({ code: transformSync(source, { ...options, sourcefile: path }).code }),
      getCacheKey: (source, path) =>
        createHash('sha1')
          .update([version, JSON.stringify(options), path, source].join('\0'))
          .digest('hex'),
    };
  },
};
