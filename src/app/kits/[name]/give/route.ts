import { answering, nameIn } from '../../../../server/answering';
import { check } from '../../../../server/dto/check';
import { GiveKitDto } from '../../../../server/dto/kits.dto';
import { givenKitFile } from '../../../../server/given-kits';
import { store } from '../../../../server/store';

export const dynamic = 'force-dynamic';

/** A kit as one file to give away: `?note=` goes with it. */
export const GET = answering(async (request: Request, { params }: { params: Promise<{ name: string }> }) => {
  const { note } = check(GiveKitDto, { note: new URL(request.url).searchParams.get('note') ?? '' }, 'kit');
  return givenKitFile(await store(), nameIn((await params).name), note.trim());
});
