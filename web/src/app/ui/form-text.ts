/** What stands in a text field of a form, without blanks around it. */
export function textOf(data: FormData, name: string): string {
  const value = data.get(name);
  return typeof value === 'string' ? value.trim() : '';
}
