@include('widget::flow')
