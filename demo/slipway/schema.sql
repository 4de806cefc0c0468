-- The boatyard of the harbour, as it grew on MariaDB: two databases side by side, two engines, and faults that nobody meant.
-- Statements end with a semicolon at the end of a line. Rows come from sequences, so that they are the same each time.

create table slipway.yard (
  yard_code varchar(4) not null, name varchar(60) not null, town varchar(60) not null, primary key (yard_code)
) comment 'Where boats are built and mended';
insert into slipway.yard values ('NORD', 'Nordvaag yard', 'Nordvaag'), ('SUND', 'Sundet yard', 'Sundet'), ('HOLM', 'Holm yard', 'Holm');

create table slipway.slip (
  slip_id int unsigned not null auto_increment, slip_no varchar(8) not null, yard_code varchar(4) not null, length_m decimal(6,2) not null,
  primary key (slip_id), unique key uq_slip_no (slip_no), constraint fk_slip_yard foreign key (yard_code) references slipway.yard (yard_code)
);
insert into slipway.slip (slip_no, yard_code, length_m) select concat('S', lpad(seq, 3, '0')), elt(1 + seq % 3, 'NORD', 'SUND', 'HOLM'), 12 + seq % 40 from seq_1_to_60;

create table slipway.owner (
  owner_id int unsigned not null auto_increment, name varchar(80) not null, email varchar(120) default null, phone varchar(20) default null,
  since date not null, primary key (owner_id), key ix_owner_name (name), key ix_owner_name_phone (name, phone)
);
insert into slipway.owner (name, email, phone, since) select concat('Owner ', lpad(seq, 5, '0')), case when seq % 7 = 0 then null else concat('o', seq, '@boats.example') end, concat('+47 ', 40000000 + seq * 37 % 9999999), date '2001-01-01' + interval seq % 8000 day from seq_1_to_4000;
-- Planted: seventy owners who say N/A.
update slipway.owner set email = 'N/A' where owner_id % 57 = 0;

create table slipway.paint (
  paint_code varchar(12) not null, name varchar(40) not null, primary key (paint_code)
) character set utf8mb3 collate utf8mb3_general_ci;
insert into slipway.paint select concat('P-', lpad(seq, 3, '0')), concat('Paint ', seq) from seq_1_to_90;

create table slipway.boat_class (class_code varchar(6) not null, name varchar(60) not null, primary key (class_code));
insert into slipway.boat_class values ('SLOOP', 'Sloop'), ('KETCH', 'Ketch'), ('TUG', 'Tug'), ('PILOT', 'Pilot cutter'), ('FERRY', 'Ferry'), ('BARGE', 'Barge');

create table slipway.boat (
  boat_id int unsigned not null auto_increment, hull_no varchar(14) not null, name varchar(60) not null, owner_id int unsigned default null,
  class_code varchar(6) not null, paint_code varchar(12) default null, length_m decimal(6,2) default null, launched_on date default null,
  is_afloat tinyint(1) not null default 1, rig enum('none', 'sail', 'motor', 'both') not null default 'motor', notes text default null,
  changed_at timestamp not null default current_timestamp() on update current_timestamp(),
  primary key (boat_id), key ix_boat_owner (owner_id), constraint fk_boat_class foreign key (class_code) references slipway.boat_class (class_code)
);
insert into slipway.boat (hull_no, name, owner_id, class_code, paint_code, length_m, launched_on, is_afloat, rig, changed_at) select concat('NO-', lpad(seq * 7 % 99991, 6, '0'), '-', seq % 9), concat('Boat ', seq * 31 % 9000), 1 + seq * 13 % 4000, elt(1 + seq % 6, 'SLOOP', 'KETCH', 'TUG', 'PILOT', 'FERRY', 'BARGE'), concat('P-', lpad(1 + seq % 90, 3, '0')), 6 + seq % 34, date '1979-05-01' + interval seq % 16000 day, seq % 5 > 0, elt(1 + seq % 4, 'none', 'sail', 'motor', 'both'), timestamp '2026-01-01 08:00:00' + interval seq minute from seq_1_to_12000;

-- Planted: no key, though the number of the lease is one.
create table slipway.berth_lease (
  lease_no varchar(12) not null, boat_id int unsigned not null, slip_no varchar(8) not null, starts_on date not null, ends_on date default null,
  key ix_lease_boat (boat_id), constraint fk_lease_boat foreign key (boat_id) references slipway.boat (boat_id)
);
insert into slipway.berth_lease select concat('L', lpad(seq, 6, '0')), 1 + seq * 5 % 12000, concat('S', lpad(1 + seq % 60, 3, '0')), date '2019-01-01' + interval seq % 2500 day, date '2019-01-01' + interval (seq % 2500 + 90 + seq % 200) day from seq_1_to_6000;

-- Planted: the slip is not declared, and seventeen rows name one that is gone.
create table slipway.haul_out (
  haul_id int unsigned not null auto_increment, boat_id int unsigned not null, slip_no varchar(8) not null, hauled_at datetime not null,
  launched_at datetime default null, primary key (haul_id), key ix_haul_boat (boat_id),
  constraint fk_haul_boat foreign key (boat_id) references slipway.boat (boat_id)
);
insert into slipway.haul_out (boat_id, slip_no, hauled_at, launched_at) select 1 + seq * 11 % 12000, case when seq % 1171 = 0 then concat('X', lpad(seq % 97, 3, '0')) else concat('S', lpad(1 + seq % 60, 3, '0')) end, timestamp '2018-03-01 07:00:00' + interval seq * 3 hour, case when seq % 11 = 0 then null else timestamp '2018-03-01 07:00:00' + interval (seq * 3 + 40) hour end from seq_1_to_20000;

create table slipway.trade (trade_code varchar(8) not null, name varchar(40) not null, under_code varchar(8) default null, primary key (trade_code), key ix_trade_under (under_code));
insert into slipway.trade values ('WOOD', 'Woodwork', null), ('STEEL', 'Steelwork', null), ('SAIL', 'Sailmaking', null), ('ENGINE', 'Engines', 'STEEL'), ('PAINT', 'Painting', 'WOOD'), ('RIG', 'Rigging', 'SAIL');

create table slipway.worker (
  worker_id int unsigned not null auto_increment, badge_no varchar(10) not null, name varchar(60) not null, trade_code varchar(8) not null,
  primary key (worker_id), constraint fk_worker_trade foreign key (trade_code) references slipway.trade (trade_code)
);
insert into slipway.worker (badge_no, name, trade_code) select concat('W-', lpad(seq, 4, '0')), concat('Worker ', seq), elt(1 + seq % 6, 'WOOD', 'STEEL', 'SAIL', 'ENGINE', 'PAINT', 'RIG') from seq_1_to_240;
create trigger slipway.worker_named before insert on slipway.worker for each row set new.name = trim(new.name);

-- Planted: money in a double; some jobs end before they start.
create table slipway.job (
  job_id int unsigned not null auto_increment, haul_id int unsigned not null, trade_code varchar(8) not null, job_state varchar(12) not null,
  price double not null, started_on date not null, ended_on date default null, worker_id int unsigned default null,
  primary key (job_id), key ix_job_haul (haul_id), key ix_job_trade (trade_code), key ix_job_worker (worker_id),
  constraint fk_job_haul foreign key (haul_id) references slipway.haul_out (haul_id) on delete cascade,
  constraint fk_job_trade foreign key (trade_code) references slipway.trade (trade_code)
);
insert into slipway.job (haul_id, trade_code, job_state, price, started_on, ended_on, worker_id) select 1 + seq % 20000, elt(1 + seq % 6, 'WOOD', 'STEEL', 'SAIL', 'ENGINE', 'PAINT', 'RIG'), elt(1 + seq % 4, 'planned', 'open', 'done', 'billed'), 100 + seq % 9000 / 7, date '2018-03-02' + interval seq % 3000 day, date '2018-03-02' + interval (seq % 3000 + case when seq % 4001 = 0 then -3 else seq % 20 end) day, 1 + seq % 240 from seq_1_to_40000;

-- Planted: nothing identifies a row, and some are there twice.
create table slipway.timesheet (worker_id int unsigned not null, job_id int unsigned not null, worked_on date not null, hours decimal(4,2) not null, key ix_timesheet_job (job_id));
insert into slipway.timesheet select 1 + seq % 240, 1 + seq * 3 % 40000, date '2025-01-01' + interval seq % 300 day, 1 + seq % 9 from seq_1_to_30000;
insert into slipway.timesheet select worker_id, job_id, worked_on, hours from slipway.timesheet where job_id % 400 = 0;

-- Planted: due on no day at all.
create table slipway.invoice (
  invoice_id int unsigned not null auto_increment, invoice_no varchar(12) not null, job_id int unsigned not null, amount decimal(10,2) not null, due_on date default null,
  primary key (invoice_id), key ix_invoice_job (job_id), constraint fk_invoice_job foreign key (job_id) references slipway.job (job_id)
);
insert into slipway.invoice (invoice_no, job_id, amount, due_on) select concat('INV-', lpad(seq, 6, '0')), 1 + seq * 2 % 40000, 50 + seq % 4000, case when seq % 113 = 0 then '0000-00-00' else date '2020-01-01' + interval seq % 2300 day end from seq_1_to_15000;

create table slipway.payment (
  payment_id int unsigned not null auto_increment, invoice_id int unsigned not null, paid_on date not null, amount decimal(10,2) not null, method varchar(10) not null,
  primary key (payment_id), key ix_payment_invoice (invoice_id)
);
insert into slipway.payment (invoice_id, paid_on, amount, method) select case when seq % 2399 = 0 then 900000 + seq else 1 + seq % 15000 end, date '2020-02-01' + interval seq % 2300 day, 50 + seq % 4000, elt(1 + seq % 3, 'card', 'bank', 'cash') from seq_1_to_12000;

-- Planted: an engine without transactions; a reference that it ignores.
create table slipway.mooring_note (
  note_id int unsigned not null auto_increment, boat_id int unsigned not null, noted_at datetime not null, text varchar(200) not null, primary key (note_id), key ix_note_boat (boat_id)
) engine = MyISAM;
insert into slipway.mooring_note (boat_id, noted_at, text) select 1 + seq % 12000, timestamp '2026-02-01 06:00:00' + interval seq minute, concat('note ', seq) from seq_1_to_3000;

-- Planted: a number with a sign for one without.
create table slipway.inspection (
  inspection_id int unsigned not null auto_increment, slip_id int not null, inspected_on date not null, passed tinyint(1) not null, primary key (inspection_id), key ix_inspection_slip (slip_id)
);
insert into slipway.inspection (slip_id, inspected_on, passed) select 1 + seq % 60, date '2022-01-01' + interval seq % 1500 day, seq % 9 > 0 from seq_1_to_2500;

-- Planted: nearly used up.
create table slipway.crane (crane_id tinyint not null auto_increment, name varchar(30) not null, lifts_t decimal(5,1) not null, primary key (crane_id));
insert into slipway.crane (name, lifts_t) select concat('Crane ', seq), 5 + seq % 60 from seq_1_to_121;

create table slipway.locker (locker_id int unsigned not null auto_increment, row_label varchar(6) not null, primary key (locker_id), key ix_locker_row (row_label));
insert into slipway.locker (row_label) select concat('R', seq % 12) from seq_1_to_180;
-- Planted: refers to what may repeat.
create table slipway.locker_key (
  key_no varchar(8) not null, row_label varchar(6) not null, worker_id int unsigned not null, primary key (key_no),
  constraint fk_key_row foreign key (row_label) references slipway.locker (row_label), constraint fk_key_worker foreign key (worker_id) references slipway.worker (worker_id)
);
insert into slipway.locker_key select concat('K', lpad(seq, 4, '0')), concat('R', seq % 12), 1 + seq % 240 from seq_1_to_300;

-- Planted: declared, and nine rows went past it.
create table slipway.gate_pass (
  pass_no varchar(10) not null, worker_id int unsigned not null, valid_to date not null, primary key (pass_no), key ix_pass_worker (worker_id),
  constraint fk_pass_worker foreign key (worker_id) references slipway.worker (worker_id)
);
set foreign_key_checks = 0;
insert into slipway.gate_pass select concat('G', lpad(seq, 5, '0')), case when seq % 101 = 0 then 7000 + seq else 1 + seq % 240 end, date '2027-01-01' + interval seq % 300 day from seq_1_to_909;
set foreign_key_checks = 1;

-- Planted: unique by its beginning only.
create table slipway.notice (notice_id int unsigned not null auto_increment, subject varchar(200) not null, body mediumtext default null, primary key (notice_id), unique key uq_notice_subject (subject(20)));
insert into slipway.notice (subject, body) select concat('Notice ', lpad(seq, 8, '0'), ' of the yard'), repeat('text ', 20) from seq_1_to_400;

create table slipway.sensor_reading (
  sensor_no varchar(8) not null, read_at datetime not null, celsius decimal(4,1) default null, primary key (sensor_no, read_at)
) partition by range columns (read_at) (partition p2025 values less than ('2026-01-01'), partition p2026 values less than (maxvalue));
insert into slipway.sensor_reading select concat('T', seq % 8), timestamp '2025-11-01 00:00:00' + interval seq * 5 minute, 4 + seq % 20 from seq_1_to_20000;

create table slipway.day_rate (trade_code varchar(8) not null, rate decimal(8,2) not null, primary key (trade_code)) with system versioning;
insert into slipway.day_rate values ('WOOD', 610), ('STEEL', 655), ('SAIL', 540), ('ENGINE', 700), ('PAINT', 480), ('RIG', 590);

create table slipway.plan_file (file_id int unsigned not null auto_increment, boat_id int unsigned not null, meta json default null, drawing mediumblob default null, primary key (file_id), constraint fk_file_boat foreign key (boat_id) references slipway.boat (boat_id) on delete cascade);
insert into slipway.plan_file (boat_id, meta, drawing) select 1 + seq * 9 % 12000, json_object('sheet', seq % 5, 'scale', 50), unhex(md5(seq)) from seq_1_to_500;

create sequence slipway.order_no start with 5000;
create sql security invoker view slipway.boat_ashore as select boat_id, name, class_code from slipway.boat where is_afloat = 0;

create table slipway_stores.supplier (supplier_id int unsigned not null auto_increment, name varchar(60) not null, primary key (supplier_id));
insert into slipway_stores.supplier (name) select concat('Supplier ', seq) from seq_1_to_80;
create table slipway_stores.part (
  part_no varchar(12) not null, name varchar(80) not null, supplier_id int unsigned not null, unit_price decimal(9,2) not null, in_stock int not null, primary key (part_no), key ix_part_supplier (supplier_id),
  constraint fk_part_supplier foreign key (supplier_id) references slipway_stores.supplier (supplier_id)
);
insert into slipway_stores.part select concat('PT', lpad(seq, 6, '0')), concat('Part ', seq), 1 + seq % 80, 1 + seq % 700 / 3, seq % 400 from seq_1_to_3000;
create table slipway_stores.stock_move (
  move_id int unsigned not null auto_increment, part_no varchar(12) not null, moved_at datetime not null, quantity int not null, primary key (move_id), key ix_move_part (part_no)
);
insert into slipway_stores.stock_move (part_no, moved_at, quantity) select concat('PT', lpad(1 + seq % 3000, 6, '0')), timestamp '2024-01-01 00:00:00' + interval seq hour, 1 + seq % 12 from seq_1_to_12000;
create table slipway_stores.shelf (shelf_code varchar(8) not null, aisle varchar(4) not null, holds_part_no varchar(12) default null, primary key (shelf_code));
insert into slipway_stores.shelf select concat('SH', lpad(seq, 4, '0')), concat('A', seq % 9), concat('PT', lpad(1 + seq * 2 % 3000, 6, '0')) from seq_1_to_600;

-- A reference from one database into the other; the line is declared, the part is not.
create table slipway.job_part (
  job_id int unsigned not null, line_no smallint unsigned not null, part_no varchar(12) not null, quantity int not null, primary key (job_id, line_no), key ix_job_part_part (part_no),
  constraint fk_job_part_job foreign key (job_id) references slipway.job (job_id) on delete cascade
);
insert into slipway.job_part select 1 + seq % 20000, 1 + seq div 20000, concat('PT', lpad(1 + seq * 7 % 3000, 6, '0')), 1 + seq % 6 from seq_1_to_40000;
create table slipway.quote (quote_no varchar(12) not null, boat_id int unsigned not null, made_on date not null, total decimal(10,2) not null, deleted_at datetime default null, primary key (quote_no), constraint fk_quote_boat foreign key (boat_id) references slipway.boat (boat_id));
insert into slipway.quote select concat('Q', lpad(seq, 6, '0')), 1 + seq * 17 % 12000, date '2025-01-01' + interval seq % 600 day, 200 + seq % 8000, case when seq % 13 = 0 then timestamp '2026-05-01 12:00:00' end from seq_1_to_4000;
analyze table slipway.boat, slipway.job, slipway.timesheet, slipway.job_part, slipway.haul_out;
