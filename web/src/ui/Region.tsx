import { Component, type ReactNode } from 'react';

interface Props {
  /** What the part of the screen is called, in lower case. */
  name: string;
  children: ReactNode;
}

/**
 * A part of the screen that may fail alone. Work is not in it: documents are held and kept outside
 * of what is drawn, so that the others go on and this one can be drawn anew.
 */
export class Region extends Component<Props, { failed: boolean }> {
  override state = { failed: false };

  static getDerivedStateFromError() {
    return { failed: true };
  }

  override render() {
    if (!this.state.failed) return this.props.children;
    return (
      <div role="alert" className="m-3 rounded-lg border border-vermilion bg-sheet p-3">
        <p className="mb-1 font-semibold">The {this.props.name} could not be drawn.</p>
        <p className="mb-2 text-soft">
          Your work is not touched by this and goes on being kept. Try again; if it happens again,
          undo the last step or load the page anew.
        </p>
        <button
          type="button"
          className="btn-main mr-2"
          onClick={() => this.setState({ failed: false })}
        >
          Go on
        </button>
        <button type="button" className="btn" onClick={() => location.reload()}>
          Load the page anew
        </button>
      </div>
    );
  }
}
