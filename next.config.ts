import type { NextConfig } from "next";

const config: NextConfig = {
  serverExternalPackages: ["sequelize", "sqlite3", "umzug", "pdfmake"],
  poweredByHeader: false,
  reactStrictMode: true,
  // Types are checked once, by `npm run typecheck`, before the build.
  typescript: { ignoreBuildErrors: true },
  devIndicators: false,
  // A job comes in with its photos; each route has a limit of its own below this.
  experimental: { proxyClientMaxBodySize: "130mb" },
};

export default config;
