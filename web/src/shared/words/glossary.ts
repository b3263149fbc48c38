import { GLOSSARY, type Word } from "./wordList";

const BY_ID = new Map(GLOSSARY.map((word) => [word.id, word]));

export const wordOf = (id: string) => BY_ID.get(id);

/** The words that fit what is typed, those whose term begins with it first. */
export function wordsLike(text: string): Word[] {
  const wanted = text.trim().toLowerCase();
  if (wanted === "") return [];
  const names = (word: Word) => [word.term, ...(word.also ?? [])].map((name) => name.toLowerCase());
  return GLOSSARY.filter((word) => names(word).some((name) => name.includes(wanted))).sort(
    (a, b) =>
      Number(names(b).some((name) => name.startsWith(wanted))) -
      Number(names(a).some((name) => name.startsWith(wanted))),
  );
}

/** The list as the guide prints it. */
export function glossaryPage(): string {
  const entries = [...GLOSSARY]
    .sort((a, b) => a.term.localeCompare(b.term, "en"))
    .map(({ term, also, means }) => `**${term}**${also ? ` (${also.join(", ")})` : ""}: ${means}`);
  return [
    "# Words",
    "",
    "Every word below is explained where it stands, too: F1 on a column of a grid, a click on its title, or Ctrl K and the word.",
    "This page is made of the interface's own list.",
    "",
    entries.join("\n\n"),
    "",
  ].join("\n");
}
