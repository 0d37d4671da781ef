import { answering } from '../../server/answering';
import { scanNow } from '../../server/scanner';

export const dynamic = 'force-dynamic';

/** Takes a picture with the household's scanner. */
export const POST = answering((request: Request) => scanNow(request.signal));
