import { Link } from '@/components/ui/Link';

/** Finds rigs by name and leafs through the rest, where there are more than a page holds. */
export function FindAndPage({
  path,
  find,
  page,
  pages,
  total,
  what,
}: {
  path: string;
  find: string;
  page: number;
  pages: number;
  total: number;
  /** What is counted, in the plural. */
  what: string;
}) {
  if (pages === 1 && find === '') return null;
  const to = (wanted: number): string =>
    `${path}?${new URLSearchParams({ ...(find === '' ? {} : { find }), page: String(wanted) }).toString()}`;
  const step = 'inline-flex min-h-11 items-center rounded-sm border-2 border-edge-strong bg-card px-4 font-semibold';
  return (
    <div className="no-print mb-3 flex flex-wrap items-end gap-3">
      <form action={path} className="flex items-end gap-2">
        <label className="flex flex-col text-sm">
          <span>Find by name</span>
          <input
            type="search"
            name="find"
            defaultValue={find}
            maxLength={80}
            className="min-h-11 rounded-sm border border-edge-strong bg-card px-2"
          />
        </label>
        <button type="submit" className={step}>
          Find
        </button>
      </form>
      <p className="py-2.5 text-sm">
        {total} {what}
        {find !== '' && ` with “${find}” in the name`}
        {pages > 1 && `, page ${page} of ${pages}`}
      </p>
      <nav aria-label="Pages" className="ml-auto flex gap-2">
        {page > 1 && (
          <Link href={to(page - 1)} className={step}>
            Before
          </Link>
        )}
        {page < pages && (
          <Link href={to(page + 1)} className={step}>
            Next
          </Link>
        )}
      </nav>
    </div>
  );
}
