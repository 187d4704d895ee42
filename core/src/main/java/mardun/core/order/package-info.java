/**
 * The order of work: operations in one sequence for one worker, so that the least time goes into changing machines and walking between
 * stations. Read {@link mardun.core.order.OrderProblem} for what is asked, {@link mardun.core.order.OrderFinder} for how it is found.
 */
package mardun.core.order;
