/** A US gallon is 231 cubic inches, and 128 fluid ounces. */
export const ML_PER_US_GALLON = 3785.411784;
export const ML_PER_US_FL_OZ = ML_PER_US_GALLON / 128;

/** By the marks bottles and cans carry. */
const ML = new Map([
  ['ml', 1],
  ['cl', 10],
  ['l', 1000],
  ['litre', 1000],
  ['litres', 1000],
  ['fl oz', ML_PER_US_FL_OZ],
  ['fl. oz.', ML_PER_US_FL_OZ],
  ['oz', ML_PER_US_FL_OZ],
  ['cup', ML_PER_US_GALLON / 16],
  ['pt', ML_PER_US_GALLON / 8],
  ['pint', ML_PER_US_GALLON / 8],
  ['qt', ML_PER_US_GALLON / 4],
  ['quart', ML_PER_US_GALLON / 4],
  ['gal', ML_PER_US_GALLON],
  ['gallon', ML_PER_US_GALLON],
  ['gallons', ML_PER_US_GALLON],
]);

/** Litres of one such unit; undefined for a mark nobody knows. */
export function litresPer(unit: string): number | undefined {
  const ml = ML.get(unit);
  return ml === undefined ? undefined : ml / 1000;
}
