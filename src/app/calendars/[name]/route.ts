import { calendarText } from '../../../db/calendars';
import { attachment } from '../../../server/attachment';
import { store } from '../../../server/store';

export const dynamic = 'force-dynamic';

/** A calendar as a file, as it was read and with what was changed here. */
export async function GET(_: Request, { params }: { params: Promise<{ name: string }> }): Promise<Response> {
  const name = decodeURIComponent((await params).name).replace(/\.ics$/, '');
  const ics = await calendarText(await store(), name);
  if (ics === null) return new Response('There is no calendar of that name.', { status: 404 });
  return attachment(ics, `${name}.ics`, 'text/calendar');
}
