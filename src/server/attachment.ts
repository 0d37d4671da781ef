/** A text as a file to be saved. */
export const attachment = (text: string, name: string, type: string): Response =>
  new Response(text, {
    headers: {
      'content-type': `${type}; charset=utf-8`,
      'content-disposition': `attachment; filename*=UTF-8''${encodeURIComponent(name)}`,
    },
  });
