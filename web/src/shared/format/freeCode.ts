/** The first code that none has: a letter and a number. */
export function freeCode(letter: string, taken: readonly string[]): string {
  let number = 1;
  while (taken.includes(`${letter}${number}`)) number++;
  return `${letter}${number}`;
}
