package mardun.app.ticket;

import java.util.List;
import mardun.core.label.LabelFace;

/**
 * What stands on a ticket, as it was printed.
 *
 * @param about which bag it is for, for lists: its name and size
 * @param parts in the order in which they are read
 * @param code what its code says
 */
record TicketText(String about, List<LabelFace.Part> parts, String code) {}
