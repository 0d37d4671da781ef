import { readFileSync } from 'node:fs';

interface Manifest {
  readonly node: Readonly<Record<string, { readonly filename: string; readonly exportedName: string }>>;
}

/** The ids under which the built application takes its server actions, by name. */
export function actionIds(): ReadonlyMap<string, string> {
  const manifest = JSON.parse(readFileSync('.next/server/server-reference-manifest.json', 'utf8')) as Manifest;
  return new Map(Object.entries(manifest.node).map(([id, { exportedName }]) => [exportedName, id]));
}

/** Calls a server action as the page of an address would. @throws Error where it answers with none of its values */
export async function call(url: string, path: string, id: string, input: unknown): Promise<unknown> {
  const answer = await fetch(`${url}${path}`, {
    method: 'POST',
    headers: {
      'next-action': id,
      'content-type': 'text/plain;charset=UTF-8',
      accept: 'text/x-component',
      origin: url,
    },
    body: JSON.stringify([input]),
  });
  const text = await answer.text();
  const row = /^1:(\{.*)$/m.exec(text)?.[1];
  if (!answer.ok || !row) throw new Error(`${answer.status}: ${text.slice(0, 200)}`);
  return JSON.parse(row) as unknown;
}
