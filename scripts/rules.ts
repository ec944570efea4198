import { writeFileSync } from 'node:fs';
import { waysDocument } from '@yellow-pane/core/ways';
import { rulesDocument } from '@yellow-pane/core/rules';
import { errorsDocument } from '../contracts/src/errors-document';

/** `npm run rules`: writes the documents that are made from data. */
writeFileSync(new URL('../docs/rules.md', import.meta.url), rulesDocument());
writeFileSync(new URL('../docs/ways-of-working.md', import.meta.url), waysDocument());
writeFileSync(new URL('../docs/errors.md', import.meta.url), errorsDocument());
