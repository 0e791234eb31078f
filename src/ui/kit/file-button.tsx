import { Secondary } from './buttons';

/** A button that asks for one file; the same file may be given again. */
export function FileButton({
  label,
  said,
  accept,
  disabled = false,
  take,
}: {
  label: string;
  /** What it is called by readers that listen. */
  said: string;
  accept: string;
  disabled?: boolean;
  take: (file: File) => void;
}) {
  return (
    <Secondary asChild>
      <label style={{ cursor: 'pointer' }}>
        {label}
        <input
          type="file"
          accept={accept}
          aria-label={said}
          disabled={disabled}
          style={{ position: 'absolute', width: 1, height: 1, opacity: 0 }}
          onChange={(e) => {
            const file = e.target.files?.[0];
            if (file !== undefined) take(file);
            e.target.value = '';
          }}
        />
      </label>
    </Secondary>
  );
}
