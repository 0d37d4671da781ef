import { calendarText } from '../../../db/calendars';
import { answering, nameIn } from '../../../server/answering';
import { attachment } from '../../../server/attachment';
import { store } from '../../../server/store';

export const dynamic = 'force-dynamic';

/** A calendar as a file, as it was read and with what was changed here. */
export const GET = answering(async (_: Request, { params }: { params: Promise<{ name: string }> }) => {
  const name = nameIn((await params).name).replace(/\.ics$/, '');
  const ics = await calendarText(await store(), name);
  return ics === null ? null : attachment(ics, `${name}.ics`, 'text/calendar');
});
