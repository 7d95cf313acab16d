import { createHandlerBoundToURL, precacheAndRoute } from 'workbox-precaching';
import { NavigationRoute, registerRoute } from 'workbox-routing';

// The service worker: keeps the built pages and the library, so that the garden opens without signal. The build writes the list.
declare const builtPages: { readonly url: string; readonly revision: string | null }[];

precacheAndRoute(builtPages);
registerRoute(new NavigationRoute(createHandlerBoundToURL('/index.html'), { denylist: [/^\/api\//] }));
