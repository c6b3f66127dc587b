import { useRef, type ReactNode } from 'react';
import { Button } from './Button';

/** A button that takes in a file as text; the same file may be chosen again. */
export function FileButton({
  accept,
  label,
  onText,
  children,
}: {
  accept: string;
  /** Names the file field itself. */
  label: string;
  onText: (text: string, name: string) => void;
  children: ReactNode;
}) {
  const file = useRef<HTMLInputElement>(null);
  return (
    <>
      <input
        ref={file}
        type="file"
        accept={accept}
        className="hidden"
        aria-label={label}
        onChange={(event) => {
          const one = event.target.files?.[0];
          if (one) {
            void one.text().then((text) => {
              onText(text, one.name);
            });
          }
          event.target.value = '';
        }}
      />
      <Button
        onClick={() => {
          file.current?.click();
        }}
      >
        {children}
      </Button>
    </>
  );
}
