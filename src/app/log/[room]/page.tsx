import { notFound } from 'next/navigation';
import { loadRoom } from '../../../server/log/load-room';
import { RoomScreen } from '../../../ui/log/RoomScreen';

export const dynamic = 'force-dynamic';

interface Asked {
  params: Promise<{ room: string }>;
  searchParams: Promise<{ year?: string; q?: string }>;
}

export default async function LogRoomPage({ params, searchParams }: Asked) {
  const room = await loadRoom((await params).room, await searchParams);
  if (!room) notFound();
  return <RoomScreen key={`${room.name} ${room.year} ${room.words}`} room={room} />;
}
