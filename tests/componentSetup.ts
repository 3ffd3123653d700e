import '@testing-library/jest-dom';

// jsdom lays nothing out: drawings keep their starting width.
globalThis.ResizeObserver = class {
  observe(): void {}
  unobserve(): void {}
  disconnect(): void {}
};

// The router belongs to the framework; components only ask it to bring the page up to date.
jest.mock('next/navigation', () => ({
  useRouter: () => ({ refresh: jest.fn(), push: jest.fn() }),
  usePathname: () => '/boats/boat/rigs/rig',
}));
