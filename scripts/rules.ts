import { writeFileSync } from 'node:fs';
import { waysDocument } from '@yellow-pane/core/ways';
import { rulesDocument } from '@yellow-pane/core/rules';

/** `npm run rules`: writes docs/rules.md from the table in core. */
writeFileSync(new URL('../docs/rules.md', import.meta.url), rulesDocument());
writeFileSync(new URL('../docs/ways-of-working.md', import.meta.url), waysDocument());
