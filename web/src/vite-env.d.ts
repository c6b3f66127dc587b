/// <reference types="vite/client" />
/// <reference types="vite-plugin-pwa/vanillajs" />
declare module '@fontsource-variable/atkinson-hyperlegible-next';
declare module '@fontsource-variable/bricolage-grotesque';
