import type { ReactNode } from 'react';
import { LOG_ROOMS } from '../../server/log/registry';
import { LogFrame } from '../../ui/log/Frame';

const WAYS = [
  { href: '/log', title: 'Weeks' },
  ...LOG_ROOMS.map(({ name, title }) => ({ href: `/log/${name}`, title })),
];

export default function LogLayout({ children }: { children: ReactNode }) {
  return <LogFrame rooms={WAYS}>{children}</LogFrame>;
}
