import { createHash } from 'node:crypto';
import swcJest from '@swc/jest';

/**
 * Jest runs modules in a context whose global object is watched: each look-up of `Math` in it takes as long as
 * sixty look-ups of a constant, in the innermost loops too. So each module takes what it uses of the language
 * once, when it is loaded. What tests may replace (dates, timers, fetch) stays where it is.
 */
export const GLOBALS = [
  'Array',
  'Boolean',
  'DataView',
  'Error',
  'Float32Array',
  'Float64Array',
  'Infinity',
  'Int32Array',
  'Int8Array',
  'JSON',
  'Map',
  'Math',
  'NaN',
  'Number',
  'Object',
  'RangeError',
  'Set',
  'String',
  'Symbol',
  'TypeError',
  'Uint16Array',
  'Uint32Array',
  'Uint8Array',
  'WeakMap',
];

/** On the first line, so that every line keeps its number. */
function nearGlobals(code) {
  const used = GLOBALS.filter(
    (name) =>
      new RegExp(`(?<![.\\w$])${name}(?![\\w$])`).test(code) &&
      !new RegExp(`(?:class|function|const|let|var)\\s+${name}(?![\\w$])`).test(code) &&
      !new RegExp(`import\\s*\\{[^}]*(?<![\\w$])${name}(?![\\w$])`).test(code),
  );
  return used.length === 0 ? code : `const { ${used.join(', ')} } = globalThis; ${code}`;
}

const asItIs = {
  process: (code) => ({ code }),
  processAsync: async (code) => ({ code }),
  getCacheKey: (code, path) => createHash('sha256').update(path).update(code).digest('hex'),
};

export default {
  /** @param options what @swc/jest is told, or 'as it is' for modules of packages */
  createTransformer(options) {
    const within = options === 'as it is' ? asItIs : swcJest.createTransformer(options);
    const near = (result) => ({ ...result, code: nearGlobals(result.code) });
    return {
      canInstrument: false,
      getCacheKey: (...asked) =>
        createHash('sha256')
          .update(within.getCacheKey(...asked))
          .update(nearGlobals.toString())
          .update(GLOBALS.join())
          .digest('hex')
          .slice(0, 32),
      process: (...asked) => near(within.process(...asked)),
      processAsync: async (...asked) => near(await within.processAsync(...asked)),
    };
  },
};
