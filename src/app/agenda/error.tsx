'use client';

import { Trouble } from '../../ui/Trouble';

export default function ErrorPage({ error, reset }: { error: Error; reset: () => void }) {
  return (
    <Trouble
      what="The agenda"
      error={error}
      reset={reset}
      ways={[
        { to: '/kits', label: 'To the kits' },
        { to: '/settings', label: 'To the settings' },
      ]}
    />
  );
}
