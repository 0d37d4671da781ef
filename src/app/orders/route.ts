import { writeOrders } from '../../core/format/orders-csv';
import { listOrders } from '../../db/plans';
import { answering } from '../../server/answering';
import { attachment } from '../../server/attachment';
import { store } from '../../server/store';

export const dynamic = 'force-dynamic';

/** The order list as a file. */
export const GET = answering(async () =>
  attachment(writeOrders(await listOrders(await store())), 'orders.csv', 'text/csv'),
);
