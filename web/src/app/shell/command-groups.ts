import { ABOUTS, type About, type Command } from './commands';

/** The commands that have all these words in them, what fits the work at hand first; no group is empty. */
export function groupedCommands(
  all: readonly Command[],
  text: string,
): readonly { readonly about: About; readonly commands: readonly Command[] }[] {
  const words = text.toLowerCase().split(/\s+/);
  const found = all.filter(({ word }) => words.every((part) => word.toLowerCase().includes(part)));
  return ABOUTS.map((about) => ({
    about,
    commands: found.filter((command) => (command.about ?? 'here') === about),
  })).filter(({ commands }) => commands.length > 0);
}
