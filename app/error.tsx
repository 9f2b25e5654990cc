'use client';

import { Button } from 'react-bootstrap';

export default function ErrorPage({ reset }: { error: Error; reset: () => void }) {
  return (
    <main className="container py-5">
      <h1>This page could not be shown</h1>
      <p>What was recorded is kept. Try again; if it stays, tell whoever runs the program when it happened.</p>
      <Button variant="outline-dark" onClick={reset}>
        Try again
      </Button>
    </main>
  );
}
