import type { ChosenSchools } from '@yellow-pane/core/job';
import { SCHOOLS, SCHOOL_KEYS, type SchoolKey } from '@yellow-pane/core/ways';
import * as z from 'zod';

const isKey = (key: string): key is SchoolKey => Object.hasOwn(SCHOOLS, key);

/** Schools that somebody chose, by question: each a question there is, with an answer there is. */
export const chosenSchools = z
  .record(z.string().max(40), z.string().max(80))
  .superRefine((chosen, context) => {
    for (const [key, value] of Object.entries(chosen)) {
      if (!isKey(key)) {
        context.addIssue({ code: 'custom', path: [key], message: `one of ${SCHOOL_KEYS.join(', ')}` });
        continue;
      }
      const values = SCHOOLS[key].options.map((option) => option.value);
      if (!values.some((own) => own === value))
        context.addIssue({ code: 'custom', path: [key], message: `one of ${values.join(', ')}` });
    }
  }) satisfies z.ZodType<ChosenSchools>;
