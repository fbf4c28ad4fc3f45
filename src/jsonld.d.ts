declare module 'jsonld';
