package mardun.app.days;

import org.springframework.data.jpa.repository.JpaRepository;

interface NotedDayRepository extends JpaRepository<NotedDay, Long> {}
