import TextField from '@mui/material/TextField';
import { useState } from 'react';

interface TextLineProps {
  readonly label: string;
  /** its name is said by what stands over it, and is not written */
  readonly bare?: boolean;
  /** what is kept */
  readonly value: string;
  readonly placeholder?: string;
  readonly multiline?: boolean;
  readonly suggestions?: readonly string[];
  readonly most?: number;
  readonly onKeep: (text: string) => void;
}

/** A text that is kept when one goes on: by Enter, or by leaving it. */
export function TextLine(props: TextLineProps) {
  // what is kept may change under it, by undo or in another window: it begins anew then
  return <Line key={props.value} {...props} />;
}

function Line({
  label,
  bare = false,
  value,
  placeholder,
  multiline = false,
  suggestions,
  most = 500,
  onKeep,
}: TextLineProps) {
  const [text, setText] = useState(value);
  const list = suggestions?.length ? `suggested-${label.replace(/\W/g, '-')}` : undefined;
  const keep = () => {
    if (text.trim() !== value) onKeep(text.trim());
  };
  return (
    <>
      <TextField
        fullWidth
        size="small"
        {...(bare ? {} : { label })}
        {...(placeholder ? { placeholder } : {})}
        multiline={multiline}
        {...(multiline ? { minRows: 2, maxRows: 6 } : {})}
        value={text}
        onChange={(e) => setText(e.target.value.slice(0, most))}
        onBlur={keep}
        onKeyDown={(e) => {
          if (e.key === 'Enter' && !multiline) keep();
          if (e.key === 'Escape') setText(value);
        }}
        slotProps={{ inputLabel: { shrink: true }, htmlInput: { list, ...(bare ? { 'aria-label': label } : {}) } }}
      />
      {list && (
        <datalist id={list}>
          {suggestions?.map((s) => (
            <option key={s} value={s} />
          ))}
        </datalist>
      )}
    </>
  );
}
