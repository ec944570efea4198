import '@angular/compiler';

/** What every browser has and Node 20 has not. */
globalThis.navigator ??= { hardwareConcurrency: 2 };
