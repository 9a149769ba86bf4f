/** The register that this page came from; what is kept here is kept for it. */
export const thisRegister = (): string | null => document.documentElement.dataset['register'] ?? null;
