import Link from 'next/link';

export default function NotFound() {
  return (
    <main style={{ padding: 48 }}>
      <h1>There is no such page</h1>
      <p>Nothing lies under this address. A week that was given up has no page of its own any more.</p>
      <Link href="/">To the shelf</Link>
    </main>
  );
}
