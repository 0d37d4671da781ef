import { loadAgenda } from '../../server/agenda';
import { AgendaScreen } from '../../ui/agenda/AgendaScreen';

export const dynamic = 'force-dynamic';

export default async function AgendaPage({ searchParams }: { searchParams: Promise<{ week?: string }> }) {
  const agenda = await loadAgenda((await searchParams).week);
  return <AgendaScreen key={agenda.week.week} agenda={agenda} />;
}
