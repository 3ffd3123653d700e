/** A page with nothing on it, of the same framework: what the audit says of that is the framework's and the machine's. */
export default function Layout({ children }) {
  return (
    <html lang="en">
      <body>{children}</body>
    </html>
  );
}
