/** How a liquid is mixed. */
export type MixRecipe =
  /** In the words of the recipe itself. */
  | { readonly case: 'as the recipe says'; readonly recipe: string }
  | { readonly case: 'by caps'; readonly caps: number }
  | { readonly case: 'as it was right'; readonly share: number }
  | { readonly case: 'one third concentrate' }
  | { readonly case: 'seventy to thirty alcohol' }
  | { readonly case: 'an ounce a gallon' }
  | { readonly case: 'one to one'; readonly thinner: Thinner }
  | { readonly case: 'neat' };

export type Thinner = 'water' | 'its solvent';

/** Why it is mixed so, or what to mind. */
export type MixRemark =
  /** In the words of the recipe itself. */
  | { readonly case: 'remark of the recipe'; readonly remark: string }
  | {
      readonly case: 'caps by warmth';
      readonly air_C: number;
      readonly caps: number;
      readonly over_C: number;
    }
  | { readonly case: 'residue lifts edges' }
  | { readonly case: 'before decor and corners' }
  | { readonly case: 'for grease' }
  | { readonly case: 'more in the cold' }
  | { readonly case: 'it is cold'; readonly air_C: number }
  | { readonly case: 'as the slide test found' }
  | { readonly case: 'outside only' }
  | { readonly case: 'it is warm'; readonly air_C: number; readonly over_C: number }
  | { readonly case: 'laps and corners only' };

/** What is found of the mix. */
export type MixFinding =
  | { readonly case: 'share of soap'; readonly share: number }
  | { readonly case: 'too lean' }
  | { readonly case: 'too rich' }
  | { readonly case: 'cap not measured' };

/** What goes into one bottle beside water. */
export type IntoBottle =
  | { readonly case: 'volume'; readonly word: string; readonly litres: number }
  | { readonly case: 'caps'; readonly caps: number };
