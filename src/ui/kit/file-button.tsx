import { Secondary } from './buttons';

/** A button that asks for a file, or some that belong together; the same may be given again. */
export function FileButton({
  label,
  said,
  accept,
  disabled = false,
  multiple = false,
  take,
}: {
  label: string;
  /** What it is called by readers that listen. */
  said: string;
  accept: string;
  disabled?: boolean;
  multiple?: boolean;
  take: (file: File, all: readonly File[]) => void;
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
          multiple={multiple}
          style={{ position: 'absolute', width: 1, height: 1, opacity: 0 }}
          onChange={(e) => {
            const files = [...(e.target.files ?? [])];
            const [file] = files;
            if (file !== undefined) take(file, files);
            e.target.value = '';
          }}
        />
      </label>
    </Secondary>
  );
}
