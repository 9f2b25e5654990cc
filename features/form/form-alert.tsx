/** What is wrong with a form as a whole, where there is something. */
export function FormAlert({ message }: { message: string | undefined }) {
  if (!message) return null;
  return (
    <p role="alert" className="text-danger fw-semibold m-0">
      {message}
    </p>
  );
}
