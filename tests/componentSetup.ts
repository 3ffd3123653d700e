import { createElement, type ComponentType } from 'react';
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
  useSearchParams: () => new URLSearchParams(),
}));

/** What a page loads when it is first asked for is there at once in tests: its module is loaded with the page's. */
jest.mock('next/dynamic', () => (load: () => Promise<ComponentType<object>>) => {
  let loaded: ComponentType<object> | null = null;
  void load().then((component) => (loaded = component));
  return function Loaded(props: object) {
    return loaded && createElement(loaded, props);
  };
});

/** Modules that are asked for while a page's are loaded arrive in the next turns of the event loop. */
beforeAll(() => new Promise((resume) => setTimeout(resume, 0)));

// jsdom draws nothing, so there is nothing to bring into view.
Element.prototype.scrollIntoView = () => undefined;
