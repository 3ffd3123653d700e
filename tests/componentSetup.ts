import { createElement, type ComponentType } from 'react';
import '@testing-library/jest-dom';

// jsdom lays nothing out: drawings keep their starting width.
globalThis.ResizeObserver = class {
  observe(): void {}
  unobserve(): void {}
  disconnect(): void {}
};

// Nothing is scrolled either: whoever watches what is in view hears nothing.
globalThis.IntersectionObserver = class {
  readonly root = null;
  readonly rootMargin = '';
  readonly scrollMargin = '';
  readonly thresholds = [];
  observe(): void {}
  unobserve(): void {}
  disconnect(): void {}
  takeRecords(): never[] {
    return [];
  }
};

// The router belongs to the framework; components only ask it to bring the page up to date.
jest.mock('next/navigation', () => ({
  useRouter: () => ({ refresh: jest.fn(), push: jest.fn() }),
  usePathname: () => '/boats/boat/rigs/rig',
  useSearchParams: () => new URLSearchParams(),
}));

/** Modules that were asked for and are not there yet. */
let onTheWay = 0;

/** What a page loads when it is first asked for is there at once in tests: its module is loaded with the page's. */
jest.mock('next/dynamic', () => (load: () => Promise<ComponentType<object>>) => {
  let loaded: ComponentType<object> | null = null;
  onTheWay += 1;
  void load().then((component) => {
    loaded = component;
    onTheWay -= 1;
  });
  return function Loaded(props: object) {
    return loaded && createElement(loaded, props);
  };
});

/** Modules that are asked for while a page's are loaded may ask for others: all of them are there before a test begins. */
beforeAll(async () => {
  do await new Promise((resume) => setTimeout(resume, 0));
  while (onTheWay > 0);
});

// jsdom draws nothing, so there is nothing to bring into view.
Element.prototype.scrollIntoView = () => undefined;
