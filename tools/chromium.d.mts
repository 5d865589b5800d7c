export function chromiumPath(): string;
