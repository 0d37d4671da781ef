/** What is used of the package, which brings no types. */
declare module 'bidi-js' {
  export default function bidiFactory(): {
    readonly getEmbeddingLevels: (text: string) => { readonly levels: Uint8Array };
    /** null where a letter has none */
    readonly getMirroredCharacter: (letter: string) => string | null;
  };
}
