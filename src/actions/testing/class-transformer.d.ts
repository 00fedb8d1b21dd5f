/** The library keeps what its decorators say here, and has no types for it. */
declare module 'class-transformer/cjs/storage' {
  export const defaultMetadataStorage: {
    findTypeMetadata(target: unknown, property: string): { typeFunction: () => unknown } | undefined;
  };
}
