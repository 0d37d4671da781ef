import type { NextConfig } from 'next';

const config: NextConfig = {
  serverExternalPackages: ['better-sqlite3'],
  experimental: { serverActions: { bodySizeLimit: '24mb' } },
  devIndicators: false,
  typescript: { ignoreBuildErrors: false },
};

export default config;
