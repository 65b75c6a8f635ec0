import type { NextConfig } from 'next';

const config: NextConfig = {
  reactStrictMode: true,
  poweredByHeader: false,
  devIndicators: false,
  // Types are a stage of their own in `npm test`; checking them again would only slow the demo.
  typescript: { ignoreBuildErrors: true },
};

export default config;
