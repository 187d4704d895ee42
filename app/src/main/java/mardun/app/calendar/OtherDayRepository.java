package mardun.app.calendar;

import java.time.LocalDate;
import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

interface OtherDayRepository extends JpaRepository<OtherDay, LocalDate> {

    List<OtherDay> findByOnDayGreaterThanEqualOrderByOnDay(LocalDate day);

    List<OtherDay> findByOnDayBetween(LocalDate from, LocalDate to);
}
