import { describe, expect, it } from "vitest";
import { glossaryPage, wordOf, wordsLike } from "./glossary";
import { GLOSSARY } from "./wordList";

describe("the words", () => {
  it("are each explained once, in the order of their ids", () => {
    const ids = GLOSSARY.map((word) => word.id);
    expect(new Set(ids).size).toBe(ids.length);
    expect(ids).toEqual([...ids].sort((a, b) => a.localeCompare(b, "en")));
  });

  it("lead only to words that are explained", () => {
    for (const word of GLOSSARY)
      for (const other of word.see ?? []) expect(wordOf(other), `${word.id} → ${other}`).toBeDefined();
  });

  it("are found by their beginning first, and by other names", () => {
    expect(wordsLike("crit").map((word) => word.id)).toEqual([
      "criticality",
      "longest path",
      "nearly critical",
    ]);
    expect(wordsLike("p80")[0]?.id).toBe("percentile");
    expect(wordsLike("  ")).toEqual([]);
  });

  it("are the guide's list", async () => {
    await expect(glossaryPage()).toMatchFileSnapshot("../../../../docs/words.md");
  });
});
