import { Component, type ReactNode } from 'react';
import { View } from 'react-native';
import { Action } from '../ui/Action';
import { Notice } from '../ui/Notice';

/** Whatever goes wrong on a page: never a white one. What was entered is on the device and stays there. */
export class Mishap extends Component<{ children: ReactNode }, { message: string | undefined }> {
  override state = { message: undefined as string | undefined };

  static getDerivedStateFromError(error: unknown) {
    return { message: error instanceof Error ? error.message : String(error) };
  }

  override render() {
    const { message } = this.state;
    if (message === undefined) return this.props.children;
    return (
      <View style={{ flex: 1, padding: 16, maxWidth: 760 }}>
        <Notice
          tone="stop"
          testID="mishap"
          title="This page cannot be shown"
          text={`Something in it went wrong (${message}). What was entered is kept; the other rooms open as before.`}
        >
          <Action label="all rooms" onPress={() => window.location.assign('/')} />
          <Action quiet label="try again" onPress={() => this.setState({ message: undefined })} />
        </Notice>
      </View>
    );
  }
}
