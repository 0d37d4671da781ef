import { useRouter } from 'next/navigation';
import { useEffect, useRef, useState } from 'react';
import type { CalendarLine } from '../../server/agenda';
import { askFeeds } from './ask-feeds';
import { spokenChanges } from './spoken-changes';

/** ms after which an opened agenda asks its feeds again */
const FRESH = 60_000;

/** Asks the feeds once when the agenda is opened, without holding it up, and says what came of it. */
export function useFeeds(calendars: readonly CalendarLine[]) {
  const router = useRouter();
  const [said, setSaid] = useState<readonly string[]>([]);
  const asked = useRef(false);
  useEffect(() => {
    if (
      asked.current ||
      !calendars.some((c) => c.address && Math.abs(Date.now() - Date.parse(c.checkedAt ?? '1970-01-01')) > FRESH)
    )
      return;
    asked.current = true;
    void askFeeds().then((answer) => {
      if (!answer?.ok) return;
      const news = answer.value.flatMap((f) =>
        f.trouble
          ? [`“${f.name}” could not be read: ${f.trouble}. Its last good copy is shown.`]
          : f.changes
            ? [`“${f.name}” has news (${spokenChanges(f.changes)}).`]
            : [],
      );
      setSaid(news);
      if (news.length) router.refresh();
    });
  }, [calendars, router]);
  return { said, clear: () => setSaid([]) };
}
