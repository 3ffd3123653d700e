import type { NextConfig } from 'next';

const config: NextConfig = {
  poweredByHeader: false,
  reactStrictMode: true,
  devIndicators: false,
  // Types are checked by `npm test`, after the build, with what it writes down of the routes: a first start need not wait for that.
  typescript: { ignoreBuildErrors: true },
  // There is no picture to optimise, and no library here that could.
  images: { unoptimized: true },
  serverExternalPackages: ['pg', 'piscina'],
  // Every page's title comes with the page and not after it: a screen reader announces it, and a tab has a name at once.
  htmlLimitedBots: /.*/,
};

export default config;
