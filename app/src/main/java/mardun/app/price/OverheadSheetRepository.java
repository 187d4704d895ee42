package mardun.app.price;

import org.springframework.data.jpa.repository.JpaRepository;

interface OverheadSheetRepository extends JpaRepository<OverheadSheet, Integer> {}
