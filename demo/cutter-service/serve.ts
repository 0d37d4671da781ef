// The simulated cutter, on 127.0.0.1: `tsx demo/cutter-service/serve.ts PORT`.
import { cutterService } from './service';

const port = Number(process.argv[2] ?? 4491);
cutterService().listen(port, '127.0.0.1', () => process.stdout.write(`cutter stand-in at http://127.0.0.1:${port}/\n`));
// it goes when whoever started it goes
process.stdin.resume().on('end', () => process.exit());
