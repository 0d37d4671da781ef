'use client';

import { Trouble } from '../../ui/Trouble';

export default function ErrorPage({ error, reset }: { error: Error; reset: () => void }) {
  return <Trouble what="The kits" error={error} reset={reset} ways={[{ to: '/agenda', label: 'To the agenda' }]} />;
}
