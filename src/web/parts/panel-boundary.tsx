/** A fault in one panel stays in it: the others go on, and what happened can be copied for a report. */
import { Component, type ErrorInfo, type ReactNode } from 'react'

type Props = { name: string; className?: string; children: ReactNode }
type State = { error?: Error; where?: string; copied?: boolean }

export class PanelBoundary extends Component<Props, State> {
  override state: State = {}

  static getDerivedStateFromError(error: unknown): State {
    return { error: error instanceof Error ? error : new Error(String(error)) }
  }

  override componentDidCatch(_: Error, { componentStack }: ErrorInfo) {
    this.setState({ where: componentStack ?? '' })
  }

  private report(): string {
    const { error, where } = this.state
    return [
      `Just Lattice, ${this.props.name}`,
      new Date().toISOString(),
      navigator.userAgent,
      location.pathname,
      error?.stack ?? String(error),
      where ?? '',
    ].join('\n')
  }

  override render() {
    const { error, copied } = this.state
    if (!error) return this.props.children
    return (
      <section
        role="alert"
        aria-label={this.props.name}
        className={`flex flex-col items-start gap-2 overflow-auto bg-base-100 p-4 ${this.props.className ?? ''}`}
      >
        <h2 className="text-large font-bold">{this.props.name} stopped</h2>
        <p className="soft">Everything else goes on, and what you made is kept.</p>
        <p className="w-full rounded-field bg-base-200 px-2 py-1.5 text-small break-words">{error.message}</p>
        <div className="flex flex-wrap gap-2">
          <button type="button" className="main-button" onClick={() => this.setState({ error: undefined })}>
            Open it again
          </button>
          <button
            type="button"
            className="line-button"
            onClick={() =>
              void navigator.clipboard.writeText(this.report()).then(() => this.setState({ copied: true }))
            }
          >
            {copied ? 'Report copied' : 'Copy a report'}
          </button>
        </div>
      </section>
    )
  }
}
