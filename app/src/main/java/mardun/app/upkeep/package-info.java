/** What is in each machine, how long needle, blade and oil have been in use, and when they were changed. */
package mardun.app.upkeep;
