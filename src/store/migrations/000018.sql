-- Who hears by e-mail has nothing to check a signature with.
alter table listeners alter column sealed_secret drop not null;
