/** Makers whose meshes have leaves and blades without a thickness. */
export const SHEETS: readonly unknown[] = ['shoot', 'leaves', 'tuft'];
