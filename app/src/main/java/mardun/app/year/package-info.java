/** What a year says: questions with their answers and figures, and the books for a bookkeeper. */
package mardun.app.year;
