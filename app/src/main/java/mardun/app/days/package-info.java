/** On which days open work is done, and whether it is done in time. */
package mardun.app.days;
