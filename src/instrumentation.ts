/** Once at the start of the server. */
export async function register(): Promise<void> {
  if (process.env.NEXT_RUNTIME !== 'nodejs') return;
  const { openAsLeft } = await import('./server/door/at-start');
  await openAsLeft();
  const { sweepAtStart } = await import('./server/sweep-at-start');
  sweepAtStart();
  const { backUpByItself } = await import('./server/backup/by-itself');
  backUpByItself();
}
