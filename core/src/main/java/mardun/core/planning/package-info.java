/** On which days work is done: free time, the work that is laid on it, and how sure it is to be done in time. */
package mardun.core.planning;
