/** What to make for the coming fairs and the online shop. Asks {@link mardun.core.season}. */
package mardun.app.season;
