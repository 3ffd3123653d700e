import type { NextConfig } from 'next';

const config: NextConfig = {
  poweredByHeader: false,
  reactStrictMode: true,
  devIndicators: false,
  serverExternalPackages: ['pg'],
  // Every page's title comes with the page and not after it: a screen reader announces it, and a tab has a name at once.
  htmlLimitedBots: /.*/,
};

export default config;
