import TextField from '@mui/material/TextField';
import { useState } from 'react';

/** What prices are written with: a sign or a code. */
export function MoneySign({ currency, onKeep }: { currency: string; onKeep: (currency: string) => void }) {
  const [text, setText] = useState(currency);
  const keep = () => {
    if (!text.trim()) setText(currency);
    else if (text.trim() !== currency) onKeep(text.trim());
  };
  return (
    <TextField
      label="Money"
      value={text}
      onChange={(e) => setText(e.target.value)}
      onBlur={keep}
      onKeyDown={(e) => e.key === 'Enter' && keep()}
      helperText="$, £, € or EUR"
      slotProps={{ htmlInput: { maxLength: 5 } }}
      sx={{ width: 130 }}
    />
  );
}
