/** Letters of a passphrase, at least: shorter ones are guessed by trying. Common practice. */
export const SHORTEST_PASSPHRASE = 10;
