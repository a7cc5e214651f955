# frozen_string_literal: true

# The job queue's own tables.
Sequel.migration do
  up do
    Que.connection = self
    Que.migrate!(version: 7)
  end
end
