import type { Signed } from '../signed';

/** A name written by hand, as it was drawn. */
export interface Signature {
  readonly name: string;
  /** An instant, ISO 8601. */
  readonly at: string;
  /** Each x, y, x, y …, in thousandths of the width of the box it was drawn in. */
  readonly strokes: readonly (readonly number[])[];
}

/** A few points are a slip of the finger, no signature. */
export const LEAST_SIGNATURE_POINTS = 4;

export const pointsOf = ({ strokes }: Pick<Signature, 'strokes'>): number =>
  strokes.reduce((sum, stroke) => sum + Math.floor(stroke.length / 2), 0);

/** Alike surfaces a caller spoke of: 'four windows, south, third floor, about 1.2 by 1.5'. */
export interface AskedSurfaces {
  readonly what: 'pane' | 'wall' | 'column' | 'fixture';
  readonly count: number;
  readonly width_nm: number | null;
  readonly height_nm: number | null;
  /** Where they look, degrees from north; null: not said. */
  readonly bearing_deg: number | null;
  readonly storey: number | null;
  /** Film in mind; null: not said. */
  readonly filmId: string | null;
  readonly oldFilm: 'none' | 'film' | 'unknown';
}

/** What somebody asked for on the phone, and what was answered. */
export interface Enquiry {
  readonly caller: string;
  readonly phone: string;
  readonly wish: string;
  readonly asked: readonly AskedSurfaces[];
  /** The rough price that was said, net; null: none was. */
  readonly rough: { readonly least: number; readonly most: number; readonly currency: string } | null;
  /** The half day that was spoken of, instants; null: none was. */
  readonly halfDay: { readonly from: string; readonly to: string } | null;
  readonly said: Signed;
}

/** What a quote was calculated from and what came out, as it was then. */
export interface QuotePaper {
  readonly asOf: string;
  readonly currency: string;
  readonly tax_percent: number | null;
  readonly margin_percent: number;
  readonly risk: number;
  readonly hourCost: number;
  readonly tripCost: number;
  readonly trips: number;
  readonly seed: number;
  readonly draws: number;
  readonly lines: readonly QuotePaperLine[];
  readonly missing: readonly { readonly tag: string; readonly reason: string }[];
  readonly guesses: readonly string[];
  /** Of a simulated job: what the figures below were drawn from. */
  readonly inputs: {
    readonly fixed: number;
    readonly rate: number;
    readonly shared: number;
    readonly work: readonly { readonly median_min: number; readonly deviation: number }[];
    readonly chances: readonly {
      readonly pieces: number;
      readonly came: number;
      readonly not: number;
      readonly mean: number;
      readonly deviation: number;
      readonly once: number;
    }[];
    readonly loose?: { readonly median: number; readonly deviation: number } | undefined;
  };
  readonly mean: number;
  readonly least: number;
  readonly most: number;
  /** Net price that keeps the margin with the chance left. */
  readonly price: number;
  readonly priceAtMean: number;
  /** Net price that is asked of the customer. */
  readonly asked: number;
}

interface QuotePaperLine {
  readonly applicationId: string;
  readonly surfaceId: string;
  readonly tag: string;
  readonly place: string;
  readonly filmId: string;
  readonly film: string;
  /** By a size the caller said, not measured. */
  readonly isAbout: boolean;
  /** Of what is filmed, m². */
  readonly area_m2: number;
  /** Film that goes into it, waste counted, m². */
  readonly used_m2: number;
  readonly filmCost: number;
  readonly minutes: number;
  /** Of these, for taking off what is stuck there. */
  readonly removal: number;
  /** People-minutes of each step. */
  readonly steps: readonly { readonly step: string; readonly minutes: number }[];
  /** Its part of the price that is asked. */
  readonly net: number;
}

/** A price that was put on paper: its inputs and figures never change again. */
export interface Quote {
  readonly number: string;
  readonly name: string;
  /** The quote it stands beside for the same wish; null: none. */
  readonly alternativeOfId: string | null;
  /** A day, such as 2026-12-31; null: no end. */
  readonly validUntil: string | null;
  /** Films that stand in for those of the job. */
  readonly swaps: readonly { readonly from: string; readonly to: string }[];
  readonly paper: QuotePaper;
  readonly sent: Signed | null;
  readonly answer: {
    readonly said: 'accepted' | 'refused';
    readonly signature: Signature | null;
    readonly note: string;
    readonly by: Signed;
  } | null;
}

/** Something that was there before anybody worked. */
export interface FoundThere {
  readonly kind: 'glass' | 'edges' | 'damage' | 'mark' | 'old film' | 'ground';
  /** As the row says it: 'cracked', 'scratch', 'refused'. */
  readonly says: string;
  readonly who: string;
}

/** How ground and glass were found before any work, signed. */
export interface Arrival {
  readonly found: readonly {
    readonly surfaceId: string;
    readonly tag: string;
    readonly lines: readonly FoundThere[];
    readonly photoIds: readonly string[];
    readonly ground: 'accepted' | 'refused' | 'not looked at';
  }[];
  readonly note: string;
  readonly signature: Signature;
  readonly by: Signed;
}

/** Work that was added after the quote, signed by whoever ordered it. */
export interface Extra {
  readonly number: string;
  readonly text: string;
  /** The surface whose price it goes by; null: a price of its own. */
  readonly likeSurfaceId: string | null;
  readonly count: number;
  /** Net, for all of it. */
  readonly net: number;
  readonly currency: string;
  readonly tax_percent: number | null;
  /** What it was priced by. */
  readonly basis: string;
  readonly signature: Signature | null;
  readonly by: Signed;
}

/** Money that was asked for, and whether it came. */
export interface Payment {
  readonly kind: 'deposit' | 'part' | 'final';
  readonly number: string;
  readonly lines: readonly { readonly text: string; readonly net: number }[];
  readonly currency: string;
  readonly tax_percent: number | null;
  /** A day, such as 2026-12-31; null: not said. */
  readonly dueDay: string | null;
  /** Work is counted up to the end of this day; null: not by work done. */
  readonly upToDay: string | null;
  /** Of whoever took the count over; null: nobody yet. */
  readonly signature: Signature | null;
  readonly asked: Signed | null;
  readonly paid: { readonly day: string; readonly gross: number; readonly by: Signed } | null;
}

/** Something that is still open when work is handed over. */
export interface OpenItem {
  readonly kind: 'mark' | 'not looked at' | 'not done' | 'visit' | 'put back' | 'ground' | 'pocket';
  readonly tag: string;
  /** As the row says it: look of a mark, key of a step, kind of a visit, name of a part. */
  readonly what: string;
  /** By when, an instant; null: no date. */
  readonly until: string | null;
}

/** A film on a surface as it is handed over. */
export interface HandedPane {
  readonly applicationId: string;
  readonly surfaceId: string;
  readonly tag: string;
  readonly place: string;
  readonly film: string;
  readonly face: string;
  readonly rolls: readonly { readonly label: string; readonly lot: string }[];
  readonly laidAt: string | null;
  readonly people: readonly string[];
  readonly readings: readonly {
    readonly quantity: string;
    readonly shown: string;
    readonly who: string;
    readonly at: string;
  }[];
  readonly mix: string | null;
  readonly judged: string;
  readonly ruleSet: string | null;
  readonly acceptedBy: Signed | null;
  readonly marks: readonly {
    readonly look: string;
    readonly size_nm: number | null;
    readonly verdict: string | null;
  }[];
  /** Dates promised, by key; null: no date this season. */
  readonly dates: readonly {
    readonly key: string;
    readonly from: string | null;
    readonly until: string | null;
  }[];
  readonly warnings: readonly string[];
  readonly before: string | null;
  readonly after: string | null;
  readonly putBack: readonly { readonly name: string; readonly at: string | null }[];
}

/** What was handed over, frozen as it was signed. */
export interface HandOver {
  readonly asOf: string;
  readonly panes: readonly HandedPane[];
  readonly open: readonly OpenItem[];
  readonly note: string;
  readonly signature: Signature;
  readonly by: Signed;
}
