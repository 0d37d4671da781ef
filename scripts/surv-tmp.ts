import { execFileSync, spawn } from 'node:child_process';
import { cpSync, mkdtempSync, readFileSync, symlinkSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { changed, mutantsOf } from '/work/main/scripts/mutants/changes';
const lives = readFileSync(process.argv[2]!, 'utf8').split('\n').filter((l) => l.startsWith('lives')).map((l) => /^lives {2}(\S+):(\d+) {2}(.*?) {2}→ {2}(.*)$/.exec(l)!).filter(Boolean);
const queue = lives.map(([, file, line, was, text]) => mutantsOf(file!, readFileSync(file!, 'utf8')).find((m) => m.line === Number(line) && m.was === was && m.text === text)!).filter(Boolean);
console.log(lives.length, queue.length);
const tests = ['tests/golden.test.ts', 'src/core/review/edges.test.ts'];
function copy() { const f = mkdtempSync(join(tmpdir(), 'surv-')); for (const n of execFileSync('git', ['ls-files'], { encoding: 'utf8' }).trim().split('\n')) cpSync(n, join(f, n)); symlinkSync(resolve('node_modules'), join(f, 'node_modules')); return f; }
let died = 0;
void Promise.all([0, 1].map(async () => {
  const folder = copy();
  for (let m = queue.shift(); m; m = queue.shift()) {
    const whole = readFileSync(m.file, 'utf8');
    writeFileSync(join(folder, m.file), changed(whole, m));
    const ok = await new Promise<boolean>((done) => { const p = spawn(process.execPath, [resolve('node_modules/jest/bin/jest.js'), '--silent', '--bail', '-i', '--runTestsByPath', ...tests], { cwd: folder, stdio: 'ignore' }); const t = setTimeout(() => p.kill('SIGKILL'), 120000); p.on('close', (s) => { clearTimeout(t); done(s === 0); }); });
    writeFileSync(join(folder, m.file), whole);
    if (ok) console.log(`lives  ${m.file}:${m.line}  ${m.was}  →  ${m.text}`); else { died++; console.log('died', m.file, m.line); }
  }
})).then(() => console.log('died', died));
