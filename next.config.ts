import type { NextConfig } from 'next'

const config: NextConfig = {
  // The native driver must be loaded by Node, not bundled.
  serverExternalPackages: ['better-sqlite3', '@node-rs/argon2'],
  poweredByHeader: false,
  devIndicators: false,
  // A table of ten years is sent in one go.
  experimental: {
    serverActions: { bodySizeLimit: '4mb' },
    optimizePackageImports: ['@mantine/core', '@mantine/hooks', '@tabler/icons-react'],
  },
}

export default config
