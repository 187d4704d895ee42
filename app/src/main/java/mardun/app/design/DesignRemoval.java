package mardun.app.design;

import java.util.List;
import mardun.app.id.DesignId;
import mardun.app.problem.ChangedMeanwhileException;
import mardun.app.problem.RefusedException;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Removes a design that was begun by mistake: nothing uses it. What was made is put away instead. */
@Service
class DesignRemoval {

    private final DesignRepository designs;
    private final List<UsesDesigns> users;

    DesignRemoval(DesignRepository designs, List<UsesDesigns> users) {
        this.designs = designs;
        this.users = users;
    }

    @Transactional
    void remove(DesignId id, long version) {
        DesignEntity design = designs.findById(id.value())
                .orElseThrow(() -> RefusedException.missing("There is no such design, or no longer."));
        ChangedMeanwhileException.check("“" + design.name() + "”", version, design.version());
        users.stream()
                .flatMap(user -> user.useOfDesign(id).stream())
                .findFirst()
                .ifPresent(use -> {
                    throw RefusedException.conflict("“" + design.name() + "” can't be removed: " + use
                            + " was planned from it. Put it away instead; what was made stays.");
                });
        designs.delete(design);
        designs.flush();
    }
}
