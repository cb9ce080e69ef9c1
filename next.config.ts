import type { NextConfig } from 'next';

const isDev = process.env.NODE_ENV === 'development';

/** Everything comes from the app itself, nothing is made from text; development alone needs eval. */
const policy = [
  "default-src 'self'",
  `script-src 'self' 'unsafe-inline' 'wasm-unsafe-eval'${isDev ? " 'unsafe-eval'" : ''}`,
  "style-src 'self' 'unsafe-inline'",
  "img-src 'self' blob: data:",
  "font-src 'self'",
  "connect-src 'self' blob: data:",
  "worker-src 'self'",
  "object-src 'none'",
  "base-uri 'self'",
  "form-action 'self'",
  "frame-ancestors 'none'",
].join('; ');

/** Nothing of the machine is used but the screen, the pointer and the keys. */
const NO_FEATURES = ['camera', 'geolocation', 'microphone', 'payment', 'usb', 'serial', 'display-capture']
  .map((feature) => `${feature}=()`)
  .join(', ');

const config: NextConfig = {
  reactStrictMode: false, // opening the last project must happen once
  poweredByHeader: false,
  devIndicators: false,
  images: { unoptimized: true }, // no route that works on images
  serverExternalPackages: ['piscina'],
  distDir: process.env.RATTAN_DIST ?? '.next',
  headers: async () => [
    {
      source: '/(.*)',
      headers: [
        { key: 'Content-Security-Policy', value: policy },
        { key: 'Cross-Origin-Opener-Policy', value: 'same-origin' },
        { key: 'Cross-Origin-Embedder-Policy', value: 'require-corp' },
        { key: 'Cross-Origin-Resource-Policy', value: 'same-origin' },
        { key: 'Permissions-Policy', value: NO_FEATURES },
        { key: 'X-Content-Type-Options', value: 'nosniff' },
        { key: 'Referrer-Policy', value: 'no-referrer' },
      ],
    },
  ],
};

export default config;
