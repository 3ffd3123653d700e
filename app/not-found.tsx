import { Link } from '@/components/ui/Link';
import { Header } from '@/components/shell/Header';

export default function NotFound() {
  return (
    <>
      <Header crumbs={[]} places={[]} />
      <main id="main" className="mx-auto max-w-[84rem] px-4 py-8">
        <h1 className="lettered text-2xl">Nothing lies here</h1>
        <p className="mt-2">
          This place does not exist, or it belongs to another boat.{' '}
          <Link href="/" className="text-chalk underline">
            To all boats
          </Link>
        </p>
      </main>
    </>
  );
}
