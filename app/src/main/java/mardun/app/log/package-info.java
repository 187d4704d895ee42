/** What happened at the bench, as entries that are only ever added. */
package mardun.app.log;
