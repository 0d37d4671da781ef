import { useState } from 'react';
import type { AgendaEntry } from '../../core/week/agenda-entry';

/** A field for one line after another: it is free at once, and a line that was refused comes back. */
export interface TypedLines {
  readonly text: string;
  readonly setText: (text: string) => void;
  readonly add: (entry: AgendaEntry | null | undefined) => void;
  /** lines that were refused while another was being written */
  readonly back: readonly string[];
  /** takes one of them into the field again */
  readonly takeBack: (line: string) => void;
}

/** @param save resolves to whether it was kept; what is sent meanwhile waits its turn */
export function useTypedLines(save: (entry: AgendaEntry) => Promise<boolean>): TypedLines {
  const [text, setText] = useState('');
  const [back, setBack] = useState<readonly string[]>([]);
  const comesBack = (line: string): void =>
    setText((now) => {
      if (now.trim() === '') return line;
      setBack((lines) => (lines.includes(line) ? lines : [...lines, line]));
      return now;
    });
  return {
    text,
    setText,
    back,
    add: (entry) => {
      if (!entry) return;
      const line = text;
      setText('');
      void save(entry).then((kept) => {
        if (!kept) comesBack(line);
      });
    },
    takeBack: (line) => {
      setBack((lines) => lines.filter((l) => l !== line));
      setText(line);
    },
  };
}
