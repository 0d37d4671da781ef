import { answering, nameIn } from '../../../../server/answering';
import { sharedKitCard } from '../../../../server/kit-card';

/** A kit's card to be given away: `?as=png`. */
export const GET = answering(async (request: Request, { params }: { params: Promise<{ name: string }> }) =>
  sharedKitCard(nameIn((await params).name), new URL(request.url).searchParams.get('as')),
);
