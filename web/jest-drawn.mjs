import { setupZonelessTestEnv } from 'jest-preset-angular/setup-env/zoneless/index.mjs';

setupZonelessTestEnv();

/** What a document without a browser has not: the wish for dark, and boxes by which an element is seen. */
globalThis.matchMedia ??= () => ({ matches: false, addEventListener: () => undefined });
Element.prototype.getClientRects = () => [new DOMRect(0, 0, 1, 1)];
globalThis.DOMRect ??= class {};
