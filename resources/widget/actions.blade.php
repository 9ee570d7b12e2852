@if ($plan->head->actions !== [])
<div class="actions">
@foreach ($plan->head->actions as $index => $action)
@if (count($action->links) === 1)
<a class="act" part="button" href="{{ array_values($action->links)[0] }}" target="_blank" rel="{{ $plan->shape->rel }}">{{ $action->text }}</a>
@else
<button type="button" class="act" part="button" popovertarget="menu{{ $index }}">{{ $action->text }}</button>
<ul class="menu" id="menu{{ $index }}" popover>
@foreach ($action->links as $name => $url)
<li><a href="{{ $url }}" target="_blank" rel="{{ $plan->shape->rel }}">{{ $name }}</a></li>
@endforeach
</ul>
@endif
@endforeach
</div>
@endif
