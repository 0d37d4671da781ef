/** The pages that a use case said are old, for tests to read. */
export const revalidated: string[] = [];

export const revalidatePath = (path: string): void => {
  revalidated.push(path);
};
