import type { Op } from '@yellow-pane/contracts';
import type { QuotePaper } from '@yellow-pane/core/job';
import { depositOf, calculateQuote } from '@yellow-pane/core/quoting';
import { type JobView, foundOnArrival, quoteHere, quotePaper } from '@yellow-pane/core/reading';
import { demoId } from './demo-id';

/** The first window of the shelter among all surfaces. */
const FIRST = 900;
const QUOTED_AT = '2026-05-22T09:00:00.000Z';
const ACCEPTED_AT = '2026-05-28T15:10:00.000Z';
const CAME_AT = '2026-06-11T06:50:00.000Z';
const ADDED_AT = '2026-06-11T09:30:00.000Z';
const MARGIN_PERCENT = 30;
const RISK = 0.2;
const DEPOSIT_PERCENT = 30;
const QUOTE = demoId('quote', 1);

/** Invented, as the prices of the demo's film are. */
export const SUMMIT_MONEY = {
  ...{ currency: 'CHF', tax_percent: 8.1, hourCost: 62, tripCost: 60, margin_percent: MARGIN_PERCENT },
  ...{
    customerId: demoId('customer', 2),
    street: 'Summit shelter, Kestrel Hill',
    keys: 'with the hut keeper',
  },
  ...{ accessHours: 'by the first car, 7:10', waterAndPower: 'rain water; sockets in the shelter' },
};

const by = (at: string) => ({ personId: demoId('person', 1), who: 'Wren', at });
const signed = (at: string) => ({
  ...{ name: 'Tarn, hut keeper', at },
  strokes: [
    [60, 180, 120, 60, 160, 190, 220, 70, 260, 200, 330, 140],
    [350, 120, 420, 210, 480, 90, 540, 190, 640, 120, 760, 170],
    [80, 240, 700, 225],
  ],
});

/** What was agreed, added and asked for. @param view the shelter before any work */
export function summitCloseOps(view: JobView): readonly Op[] {
  const here = quoteHere(view, []);
  const asked = { margin: MARGIN_PERCENT / 100, risk: RISK, tax: null, typed: null };
  const paper =
    here.case &&
    quotePaper(view, here, calculateQuote(here.case, asked), { asOf: QUOTED_AT, risk: RISK, asked: null });
  if (paper === undefined) return [];
  return [
    {
      op: 'put',
      table: 'quote',
      id: QUOTE,
      fields: {
        ...{ number: '1', name: 'neutral 50 on three windows', alternativeOfId: null, swaps: [], paper },
        ...{ validUntil: '2026-06-30', sent: by(QUOTED_AT) },
        answer: { said: 'accepted', signature: signed(ACCEPTED_AT), note: '', by: by(ACCEPTED_AT) },
      },
    },
    {
      op: 'put',
      table: 'arrival',
      id: demoId('arrival', 1),
      fields: {
        found: foundOnArrival(view),
        ...{ note: 'Frames sound; sill of ST3 damp.', signature: signed(CAME_AT), by: by(CAME_AT) },
      },
    },
    ...addedAndAsked(paper),
  ];
}

/** What was read on the glass before the work. */
export const summitReadings = (): readonly Op[] => [0, 1, 2].map(readingOp);
export const READ_AT = '2026-06-11T07:05:00.000Z';

function readingOp(n: number): Op {
  return {
    op: 'put',
    table: 'reading',
    id: demoId('reading', FIRST + n),
    fields: {
      ...{ surfaceId: demoId('surface', FIRST + n), applicationId: demoId('application', FIRST + n) },
      ...{
        step: 'clean',
        markId: null,
        quantity: 'surface temperature',
        instrument: 'infrared thermometer',
      },
      ...{
        shown: `${14 + n}.5 °C`,
        value: 14.5 + n,
        corrected: null,
        plusMinus: null,
        x_nm: null,
        y_nm: null,
      },
      settings: {
        ...{ emissivity: null, reflected_C: null, distance_mm: null, angle_deg: null },
        secondsSinceGun: null,
      },
    },
  };
}

function addedAndAsked({ currency, tax_percent, asked }: QuotePaper): readonly Op[] {
  return [
    {
      op: 'put',
      table: 'extra',
      id: demoId('extra', 1),
      fields: {
        ...{ number: '1', text: 'Stickers taken off ST2', likeSurfaceId: null, count: 1, net: 45 },
        ...{ currency, tax_percent, basis: 'half an hour and the margin', by: by(ADDED_AT) },
        signature: signed(ADDED_AT),
      },
    },
    {
      op: 'put',
      table: 'payment',
      id: demoId('payment', 1),
      fields: {
        ...{ kind: 'deposit', number: '1-1', currency, tax_percent, dueDay: '2026-06-08' },
        lines: [{ text: 'Deposit on quote 1', net: depositOf(asked, DEPOSIT_PERCENT, 2) }],
        ...{ upToDay: null, signature: null, asked: by(ACCEPTED_AT) },
        paid: null,
      },
    },
  ];
}
