import type { NextConfig } from 'next'
import { MOST_BYTES } from './src/edge/sizes'

const config: NextConfig = {
  // The native driver must be loaded by Node, not bundled.
  serverExternalPackages: ['better-sqlite3', '@node-rs/argon2'],
  poweredByHeader: false,
  // Types are a step of `npm test` of their own: a second look at them cost a third of every build.
  typescript: { ignoreBuildErrors: true },
  devIndicators: false,
  // A table of ten years is sent in one go.
  experimental: {
    serverActions: { bodySizeLimit: '4mb' },
    // Without it a studio's file is cut off at 10 MB on its way in.
    proxyClientMaxBodySize: MOST_BYTES,
    optimizePackageImports: ['@mantine/core', '@mantine/hooks', '@tabler/icons-react'],
  },
}

export default config
