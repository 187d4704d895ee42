/** When the maker has time for the bench: the usual week, and the days on which it is otherwise. */
package mardun.app.calendar;
