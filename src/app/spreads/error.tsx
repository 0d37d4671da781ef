'use client';

import { Trouble } from '../../ui/Trouble';

export default function ErrorPage({ error, reset }: { error: Error; reset: () => void }) {
  return (
    <Trouble
      what="This spread"
      error={error}
      reset={reset}
      ways={[
        { to: '/agenda', label: 'Change its items in the agenda' },
        { to: '/kits', label: 'To the kits' },
      ]}
    />
  );
}
