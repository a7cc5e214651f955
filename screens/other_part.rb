# frozen_string_literal: true

module UprightBench
  module Screens
    # Another part for something to do in a job: found on file, whatever it is listed for, or written as a free line.
    module OtherPart
      def self.registered(app)
        app.helpers Helpers
        app.get("/jobs/:number/items/:id/other") { other_part_page(FreeLineForm.blank) }

        app.get("/jobs/:number/items/:id/instead") { instead_page }

        app.get "/jobs/:number/items/:id/other/find" do
          erb :"other_part/_hits", layout: false, locals: { job: job_asked, item: item_asked, **parts_found }
        end

        app.post "/jobs/:number/items/:id/other", may: :work do
          form = FreeLineForm.new(params)
          next other_part_page(form) unless form.ok? && free_line_written(form)

          redirect "/jobs/#{job_asked.number}#item-#{item_asked.id}", 303
        end
      end

      # Helpers of this screen's routes and templates.
      module Helpers
        # @return [Models::WorkItem] the one that the address names
        def item_asked
          Services::Lookup.work_item(job_asked, id_of(params["id"]))
        end

        def other_part_page(form)
          job = job_asked
          item = item_asked
          place = job.sheet.position(item.position).name.downcase
          @title = "Another part for the #{place} of job #{job.number}"
          status 422 if form.errors.any?
          erb :"other_part/page", locals: { job: job, item: item, place: place, form: form, **parts_found,
                                            supplier_names: Queries::SupplierNames.call }
        end

        # What else may be done about it than was agreed, as a part of the job's page; each with when it is ready then.
        def instead_page
          job = Services::Lookup.job_to_show(id_of(params["number"]))
          page = Queries::JobPage.new(job, now: now, policies: policies)
          item = page.may_change(item_asked.id)
          @title = "Something else instead: job #{job.number}"
          erb :"other_part/instead", layout: htmx? ? false : page_layout, locals: { page: page, item: item }
        end

        # Those of the kind of the place first.
        def parts_found
          query = params["q"].to_s.strip[0, 80]
          found = Services::FindFit.call(query)
          kind = job_asked.sheet.position(item_asked.position).kind.to_s
          found.parts = found.parts.partition { |part| part.kind == kind }.flatten
          { query: query, found: found }
        end

        # @return [Boolean] false when the form says why not
        def free_line_written(form)
          Services::WriteFreeLine.call(job_asked.number, item_asked.id, line: form.line, by: person, at: now)
          true
        rescue Services::Invalid => e
          form.add(e.errors.transform_keys(number: :part_number))
          false
        rescue Services::Refused => e
          form.add(base: [e.message])
          false
        end
      end
    end
  end
end
