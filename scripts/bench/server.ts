export function benchServer(): Promise<void> {
  return Promise.resolve();
}
