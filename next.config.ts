import type { NextConfig } from 'next';

const config: NextConfig = {
  reactStrictMode: true,
  poweredByHeader: false,
  devIndicators: false,
  // Types are a stage of their own in `npm test`; checking them again would only slow the demo.
  typescript: { ignoreBuildErrors: true },
  // It is served to the machine it runs on, or to the next room: packing takes longer than sending.
  compress: false,
  // It is built once and then used: keeping what a next build would need takes a fifth of the time.
  experimental: { turbopackFileSystemCacheForBuild: false },
};

export default config;
