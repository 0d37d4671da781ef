// The simulated household calendar service, on 127.0.0.1: `tsx demo/household-service/serve.ts PORT`. Changes
// something by itself every ten minutes.
import { DateTime } from 'luxon';
import { householdService } from './service';

const port = Number(process.argv[2] ?? 4390);
const today = process.env.HOBNAIL_TODAY ?? DateTime.local().toISODate();
householdService(today).listen(port, '127.0.0.1', () =>
  process.stdout.write(`household stand-in at http://127.0.0.1:${port}/\n`),
);
setInterval(
  () => void fetch(`http://127.0.0.1:${port}/change`, { method: 'POST', redirect: 'manual' }).catch(() => null),
  600_000,
);
// it goes when whoever started it goes
process.stdin.resume().on('end', () => process.exit());
