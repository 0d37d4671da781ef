import { asCsv } from '../../../../core/keep/log-table';
import { answering } from '../../../../server/answering';
import { attachment } from '../../../../server/attachment';
import { loadRoom } from '../../../../server/log/load-room';

/** A table of the log as a file: `?table=streaks&year=2027`. */
export const GET = answering(async (request: Request, { params }: { params: Promise<{ room: string }> }) => {
  const asked = new URL(request.url).searchParams;
  const of = (name: string) => {
    const value = asked.get(name);
    return value === null ? {} : { [name]: value };
  };
  const room = await loadRoom((await params).room, { ...of('year'), ...of('q') });
  const table = room?.tables.find((t) => t.name === asked.get('table'));
  return table ? attachment(asCsv(table), `${table.name}.csv`, 'text/csv') : null;
});
