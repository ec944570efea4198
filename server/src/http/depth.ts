import { Refusal } from './refusal';

/** Deeper than anything of ours by far; what reads bodies goes down level by level and must come up again. */
const DEEPEST = 32;
const [QUOTE, BACKSLASH, OPEN_LIST, CLOSE_LIST, OPEN_OBJECT, CLOSE_OBJECT] = [
  0x22, 0x5c, 0x5b, 0x5d, 0x7b, 0x7d,
];

/** Looks at a body before it is read. For `express.json`.
 *  @throws Refusal BODY_INVALID when lists and objects in it lie too deep in each other */
export function refuseDeep(_request: unknown, _response: unknown, body: Uint8Array): void {
  let depth = 0;
  let isText = false;
  for (let at = 0; at < body.length; at += 1) {
    const byte = body[at];
    if (isText) {
      if (byte === BACKSLASH) at += 1;
      else if (byte === QUOTE) isText = false;
    } else if (byte === QUOTE) isText = true;
    else if (byte === OPEN_LIST || byte === OPEN_OBJECT) {
      depth += 1;
      if (depth > DEEPEST)
        throw new Refusal('BODY_INVALID', {
          path: 'body',
          expected: `at most ${DEEPEST} lists and objects in each other`,
          got: 'more',
        });
    } else if (byte === CLOSE_LIST || byte === CLOSE_OBJECT) depth -= 1;
  }
}
