import { GnomicWidget } from './widget';
import { define } from './define';

// The address that this script came from is the address of the editions.
const own = document.currentScript;
GnomicWidget.host = own instanceof HTMLScriptElement && own.src ? new URL(own.src).origin : location.origin;
define();
