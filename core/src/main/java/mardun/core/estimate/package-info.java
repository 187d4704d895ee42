/** How long a step takes, learnt from what was measured at the bench. */
package mardun.core.estimate;
