-- Cloth that is bought by the sheet: how high a sheet is; its width is the usable width.
alter table material add column sheet_height_nm bigint;
alter table material add constraint sheet_has_a_size
    check (kind <> 'SHEET' or (usable_width_nm > 0 and sheet_height_nm > 0));
