import { loadLeftovers } from '../../server/leftovers';
import { LeftoversScreen } from '../../ui/leftovers/LeftoversScreen';

export const dynamic = 'force-dynamic';

export default async function LeftoversPage() {
  return <LeftoversScreen page={await loadLeftovers()} />;
}
