import type { NextConfig } from 'next';

const config: NextConfig = {
  reactStrictMode: true,
  poweredByHeader: false,
  devIndicators: false,
  // The proxy stands before the archive too; how much is taken is checked where it is read.
  experimental: { proxyClientMaxBodySize: '200mb' },
  // Types are a stage of their own in `npm test`; checking them again would only slow the demo.
  typescript: { ignoreBuildErrors: true },
};

export default config;
