import Link from 'next/link';

export default function NotFound() {
  return (
    <main style={{ padding: 48 }}>
      <h1>Nothing is planned here</h1>
      <p>This week was given up, or never opened.</p>
      <Link href="/">Back to the shelf</Link>
    </main>
  );
}
