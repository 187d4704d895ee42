package mardun.app.files;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface TakenFileRepository extends JpaRepository<TakenFile, String> {

    /** Files that were broken off, the latest first. */
    @Query("select f from TakenFile f where f.linesIn < f.linesTotal order by f.touchedAt desc")
    List<TakenFile> findBrokenOff();
}
