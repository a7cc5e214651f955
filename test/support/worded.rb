# frozen_string_literal: true

# A reason, or any value of the core that has no words of its own, must not end up in a page, a paper or a message as
# Ruby writes an object: in tests that is an error.
module Worded
  # @raise [RuntimeError]
  def to_s
    raise "#{self.class.name} was written out as it is: english/ words it"
  end
end

UprightBench::Core::Reason.prepend(Worded)
