/** Where one types what a list is to be searched for. */
export function FindField({
  label,
  placeholder,
  value,
  onType,
}: {
  label: string;
  placeholder: string;
  value: string;
  onType: (words: string) => void;
}) {
  return (
    <input
      type="search"
      maxLength={100}
      className="field !w-[260px] max-w-full"
      aria-label={label}
      placeholder={placeholder}
      value={value}
      onChange={(event) => onType(event.target.value)}
    />
  );
}
