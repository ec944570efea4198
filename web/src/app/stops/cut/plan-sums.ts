import type { RowOf } from '@yellow-pane/core/job';
import { type Step, mmFromNm } from '@yellow-pane/core/quantity';
import { cutWords } from '../../words/cut';
import type { Cutting } from './cutting';

interface PlanSum {
  readonly word: string;
  readonly value: string;
  readonly why: readonly Step[];
}

/** How lengths of film, money and days are said here. */
interface SaidSums {
  readonly metres: (value_nm: number) => string;
  readonly money: (value: number) => string;
  readonly day: (instant: string) => string;
}

type StepMaker = (word: string, says: string, unit: string, inputs: Step['inputs'], value: number) => Step;

/**
 * Length, film and cost of a plan that was kept, as steps, so that each can be opened.
 */
export function planSums(
  plan: RowOf<'cutPlan'>,
  rolls: ReturnType<Cutting['rolls']>,
  rates: ReturnType<Cutting['rates']>,
  said: SaidSums,
): readonly PlanSum[] {
  const source = {
    kind: 'measured here' as const,
    text: cutWords.asLaidOut(said.day(plan.changedAt), plan.changedBy),
  };
  const step: StepMaker = (word, says, unit, inputs, value) => ({
    formula: `cutting.kept.${word}`,
    ...{ word, says, unit, inputs, value, source },
  });
  const used = rolls.map((roll, index) => ({
    key: `roll${index}`,
    word: roll.label === '' ? roll.what : roll.label,
    unit: 'mm',
    value: mmFromNm(roll.used_nm),
  }));
  const least = [{ key: 'bound', word: cutWords.costsNoLess, unit: 'money', value: plan.filmBound }];
  const length = mmFromNm(plan.lengthUsed_nm);
  return [
    {
      word: cutWords.lengthUsed,
      value: said.metres(plan.lengthUsed_nm),
      why: [step(cutWords.lengthUsedWord, cutWords.lengthFormula, 'mm', used, length)],
    },
    {
      word: cutWords.film,
      value: said.money(plan.filmCost),
      why: [step('film', cutWords.filmFormula, 'money', least, plan.filmCost)],
    },
    ...(plan.mode === 'by hand' ? [withCutting(plan, rates, step, said)] : []),
  ];
}

function withCutting(
  plan: RowOf<'cutPlan'>,
  { perCrossCut, perSlit, perPiece }: ReturnType<Cutting['rates']>,
  step: StepMaker,
  { money }: SaidSums,
): PlanSum {
  const inputs = [
    { key: 'film', word: 'film', unit: 'money', value: plan.filmCost },
    { key: 'a', word: cutWords.aCrossCut, unit: 'money', value: perCrossCut },
    { key: 'b', word: cutWords.aSlit, unit: 'money', value: perSlit },
    { key: 'c', word: cutWords.aPiece, unit: 'money', value: perPiece },
  ];
  return {
    word: cutWords.withCutting,
    value: money(plan.cost),
    why: [step(cutWords.filmAndCutting, cutWords.costFormula, 'money', inputs, plan.cost)],
  };
}
