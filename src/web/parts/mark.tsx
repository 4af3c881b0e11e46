/** The product's mark. */
export function Mark() {
  return (
    <svg width="24" height="20" viewBox="0 0 24 20" aria-hidden="true">
      <path
        fill="var(--color-primary)"
        d="M0 2h3.6v16H0zM6.8 5h3.6v13H6.8zM13.6 9h3.6v9h-3.6zM20.4 13H24v5h-3.6z"
      />
    </svg>
  )
}
