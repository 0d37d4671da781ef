/** What is said before a print where no font here has some letters of a week. */
export const sayLacking = (letters: readonly string[]): string =>
  `No font here can draw ${letters.join(' ')}. The print shows an empty box for each; write them as they are in your agenda.`;
