declare module 'gltf-validator' {
  interface Report {
    readonly issues: {
      readonly numErrors: number;
      readonly numWarnings: number;
      readonly messages: readonly { readonly severity: number; readonly message: string }[];
    };
  }
  const validator: { validateBytes(bytes: Uint8Array, options?: { maxIssues?: number }): Promise<Report> };
  export default validator;
}
