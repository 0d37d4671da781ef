import type { TakeInNews } from '../../server/take-in';
import type { SameNameWay } from '../../server/taking-in/format';

/**
 * Sends a file to be taken in, and gives the news of it as they come.
 * @throws Error in a sentence, where it could not be sent; an AbortError where it was stopped
 */
export async function* sentFile(file: File, way: SameNameWay | null, signal: AbortSignal): AsyncGenerator<TakeInNews> {
  const form = new FormData();
  form.append('files', file);
  if (way) form.append('way', way);
  const response = await fetch('/take-in', { method: 'POST', body: form, signal });
  if (response.status === 413) throw new Error('the file is too large: at most 64 MB are taken');
  if (!response.ok || !response.body) throw new Error(`the server answered ${response.status}`);
  const reader = response.body.pipeThrough(new TextDecoderStream()).getReader();
  let rest = '';
  for (let part = await reader.read(); !part.done; part = await reader.read()) {
    const lines = (rest + part.value).split('\n');
    rest = lines.pop() ?? '';
    for (const line of lines) yield JSON.parse(line) as TakeInNews;
  }
}
