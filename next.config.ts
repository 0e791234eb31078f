import type { NextConfig } from 'next';

const config: NextConfig = {
  reactStrictMode: true,
  poweredByHeader: false,
  devIndicators: false,
  serverExternalPackages: ['sequelize', 'umzug', 'pino'],
  // Addresses from before pages were called as they are now.
  redirects: () =>
    Promise.resolve(
      Object.entries({
        '/settings': '/administration',
        '/settings/traces': '/administration/trace-tables',
        '/rig': '/simulator',
        '/catalogue': '/drive-types',
        '/health': '/administration/status',
      }).map(([source, destination]) => ({ source, destination, permanent: true })),
    ),
};

export default config;
