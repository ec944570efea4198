import { describe, expect, it } from '@jest/globals';
import { checkSurface, slotsFor } from '@yellow-pane/core/measure';
import { MATERIAL_NOT_STATED } from '@yellow-pane/core/job';
import { clearBy, primerDry } from '@yellow-pane/core/waiting';
import { tooWideWords } from './cutting-words';
import {
  assumptionWords,
  customerReasonWords,
  filmAdviceWords,
  filmReasonWords,
  missWords,
  whyNotWords,
} from './film-words';
import { figuresIn } from './messages';
import { bottleWords, mixWords, recipeWords } from './mix-words';
import { impossibleWords, remarkWords } from './measure-words';
import { closedWords } from './closed-words';
import { blockedWords, neverWords, waitWords } from './wait-words';

/** What is said of a doubly curved pane 1200 wide with a sag of that depth all round. */
function remarksOfCurved(sag_mm: number, units: 'metric' | 'imperial'): string {
  const result = checkSurface({
    shape: 'curved glass',
    readings: slotsFor('curved glass').flatMap(({ key, kind, from, to }) => {
      const value_mm =
        kind === 'sag'
          ? sag_mm
          : kind === 'distance' && key.startsWith('width')
            ? 1200
            : kind === 'distance' && key.startsWith('height')
              ? 700
              : undefined;
      return value_mm === undefined
        ? []
        : [{ id: key, kind, from, to, value_mm, instrument: 'tape' as const }];
    }),
  });
  if (!('remarks' in result)) throw new Error(result.state);
  return result.remarks.map((remark) => remarkWords(remark, units)).join(' ');
}

describe('are sentences made in the units of the person?', () => {
  it('curved glass is too long in inches for those who work in inches', () => {
    expect(remarksOfCurved(25, 'metric')).toMatch(/About \d+ mm too long/);
    const inches = remarksOfCurved(25, 'imperial');
    expect(inches).toMatch(/About [\d /]+ in too long/);
    expect(inches).not.toContain('mm');
  });
  it('what cannot be, likewise', () => {
    const why = { case: 'sides cannot close', longest_mm: 2000, others_mm: 1500 } as const;
    expect(impossibleWords(why, 'metric')).toBe(
      'The longest side is 2000 mm; the other two together reach only 1500 mm.',
    );
    expect(impossibleWords(why, 'imperial')).toBe(
      'The longest side is 78 3/4 in; the other two together reach only 59 1/16 in.',
    );
  });
  it('film too wide to be laid, likewise', () => {
    const wanting = { by_mm: 6, over_mm: 22, sides: 'top and bottom' } as const;
    expect(tooWideWords(wanting, 'metric')).toBe(
      'Short by 6 mm: take 22 mm over at top and bottom, or a wider roll. Curved glass and glass of a vehicle get no seam.',
    );
    expect(tooWideWords({ ...wanting, by_mm: 25.4 }, 'imperial')).toMatch(
      /^Short by 1 in: take 7\/8 in over/,
    );
  });
  it('a wait that does not end says why, and what keeps a surface from being planned', () => {
    const damp = primerDry('water-based', { air_C: 20, humidity: 1 });
    expect(waitWords(damp).word).toBe('primer drying');
    expect(neverWords(damp.never ?? 'not this season')).toMatch(/^Will not dry in air this damp/);
    const cold = {
      film: { ...MATERIAL_NOT_STATED, thickness_um: 50, family: 'solar' },
      known: [{ hours: 24, glass_C: 8, air: { air_C: 20, humidity: 0.5 } }],
    } as const;
    expect(neverWords(clearBy(cold).never ?? 'not this season')).toMatch(/^No drying at present/);
    expect(blockedWords({ case: 'a wait never ends', wait: damp.key, never: 'air too damp' })).toMatch(
      /^primer drying: Will not dry/,
    );
  });
  it('why a surface is not fit, with the figures that decide', () => {
    expect(closedWords({ case: 'near the dew point', surface_C: 11.4, dew_C: 9.2 })).toBe(
      '11 °C is within 3 K of the dew point, 9 °C',
    );
    expect(closedWords({ case: 'too cold', what: 'surface', value_C: 12, limit_C: 15 })).toBe(
      'the surface is at 12 °C, the film wants at least 15 °C',
    );
    expect(closedWords({ case: 'too cold soon', coldest_C: -3.2, ahead_h: 24, limit_C: 0 })).toBe(
      'it falls to -3 °C within 24 h, the film wants at least 0 °C',
    );
    expect(closedWords({ case: 'near the dew point', surface_C: 11.4, dew_C: 9.2 }, 'imperial')).toBe(
      '53 °F is within 5 °F of the dew point, 49 °F',
    );
    expect(closedWords({ case: 'rain', rain_mm: 1.25 })).toBe('rain, 1.3 mm in the hour');
  });
  const load = {
    pane: 1,
    panes: 2,
    day: 'clear winter day',
    hour: 13.4,
    stress_MPa: 6.14,
    unfilmed_MPa: 6,
    bears: { low_MPa: 9, high_MPa: 9 },
  };
  it('what the edge of a pane will bear: for the fitter in megapascals, for the customer as a share', () => {
    expect(filmReasonWords({ case: 'edge load', load })).toBe(
      'The inner pane would bear 6.1 MPa at its edge on a clear winter day at 13:00 sun time, 6.0 without this film; it bears 9.0.',
    );
    expect(filmReasonWords({ case: 'fails without film', load })).toMatch(/without any film\. The inner/);
    expect(filmReasonWords({ case: 'film makes it fail', load })).toMatch(/^This film takes the pane over/);
    const told = customerReasonWords({ case: 'edge load', load }, 'metric');
    expect(told).toContain('68 % of what it is taken to bear; without the film 67 %');
    expect(told).not.toMatch(/MPa/);
  });
  it('the rule of thumb says what the film adds, and how many of the circumstances count', () => {
    const matrix = {
      outcome: 'check',
      row: 'single, up to 7 mm',
      base: 0,
      column: 2,
      worse: 1,
      absorbed: 0.3,
      added: 0.1,
      penalties: [{ case: 'a large pane', over_m2: 3 }, { case: 'sloped glass' }],
    } as const;
    expect(filmReasonWords({ case: 'rule of thumb', matrix })).toBe(
      'Rule of thumb: single, up to 7 mm; pane over 3 m², sloped glass (as 1 of 2, since it adds little): to be checked.',
    );
    expect(
      filmReasonWords({ case: 'rule of thumb', matrix: { ...matrix, added: 0.02, outcome: 'low' } }),
    ).toBe('Rule of thumb: it adds 2 % to the sun this pane takes up by itself: low risk.');
  });
  it('a column off its taper, in the units of the person', () => {
    const waisted = { case: 'off the taper', up_mm: 1200, off_mm: -16.5 } as const;
    expect(remarkWords(waisted, 'metric')).toMatch(
      /^1200 mm up, the column is 16\.5 mm less round .* waisted, or misread\?/,
    );
    expect(remarkWords(waisted, 'imperial')).not.toContain(' mm');
  });
  it('a missed wish, why another is better, what was taken', () => {
    expect(missWords({ case: 'too little light kept', kept: 0.284, least: 0.5 })).toBe(
      'keeps 28 % of the light, not 50 %',
    );
    expect(whyNotWords({ case: 'lets in more heat', points: 4 }, 'outside 60')).toBe(
      'lets in 4 points more heat than outside 60',
    );
    const gap = { case: 'a gap', width_mm: 16 } as const;
    expect([assumptionWords(gap), assumptionWords(gap, 'imperial')]).toEqual([
      'a gap of 16 mm',
      'a gap of 5/8 in',
    ]);
    expect(filmAdviceWords({ case: 'taken for want of knowing', what: gap })).toBe(
      'Taken for want of knowing: a gap of 16 mm.',
    );
    expect(filmAdviceWords({ case: 'its maker names', claims: 'P2A' })).toMatch(/P2A.*tested system/);
    expect(filmAdviceWords({ case: 'against splinters', thickness_um: 50 })).toMatch(/does not delay/);
    expect(filmAdviceWords({ case: 'primer all over' })).toMatch(/cut wood edges 2 or 3 extra coats/);
  });
  it('mixes in millilitres or in fluid ounces; a recipe keeps its own words', () => {
    const soap = [{ case: 'volume', word: 'soap', litres: 0.0074 }] as const;
    expect([bottleWords(soap), bottleWords(soap, 'imperial')]).toEqual(['7.4 ml soap', '0.3 fl oz soap']);
    expect(bottleWords([{ case: 'caps', caps: 1.04 }])).toBe('1 cap');
    expect(recipeWords({ case: 'by caps', caps: 2 }, 'imperial')).toBe('2 caps per 32 fl oz');
    expect(mixWords({ case: 'caps by warmth', air_C: 27.2, caps: 2, over_C: 22 })).toBe(
      'It will be 27 °C: over 22 °C a second cap.',
    );
    expect(mixWords({ case: 'share of soap', share: 0.0078 })).toBe('0.78 % soap');
  });
  it('figures: lengths, areas, shares', () => {
    expect([figuresIn('metric').area(1.5), figuresIn('imperial').area(1.5)]).toEqual([
      '1.500 m²',
      '16.15 ft²',
    ]);
    expect(figuresIn('metric').percent(0.03)).toBe('3 %');
  });
});
