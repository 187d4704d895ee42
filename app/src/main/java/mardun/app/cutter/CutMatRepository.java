package mardun.app.cutter;

import java.util.Collection;
import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

interface CutMatRepository extends JpaRepository<CutMat, Long> {

    boolean existsByJobKey(String jobKey);

    List<CutMat> findByJobKeyIn(Collection<String> jobKeys);
}
