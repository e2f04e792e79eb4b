package org.wiseember.trial.kind.usb;

/** What is asked of USB: one port, several at once, or the cable. */
public enum UsbUse {
  PORT("One port"),
  TOGETHER("Two ports together"),
  CABLE("A cable");

  private final String words;

  UsbUse(String words) {
    this.words = words;
  }

  public String words() {
    return words;
  }
}
