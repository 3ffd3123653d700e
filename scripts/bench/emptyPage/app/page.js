export default function Page() {
  return (
    <main>
      <h1>An empty page</h1>
    </main>
  );
}
