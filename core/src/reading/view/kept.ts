/** Answers that stay good as long as everything they were made of is the same object. */
export class Kept {
  readonly #answers = new Map<string, { readonly of: readonly unknown[]; readonly value: unknown }>();

  /** @param name of the question; one name is asked for one kind of value */
  of<Value>(name: string, of: readonly unknown[], make: () => Value): Value {
    const known = this.#answers.get(name);
    if (known?.of.length === of.length && known.of.every((part, index) => part === of[index]))
      return known.value as Value;
    const value = make();
    this.#answers.set(name, { of, value });
    return value;
  }
}
